import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Who works in the studio. */
export function addGrades(book: BookBuilder, departments: Ids): Ids {
  const glazing = at(departments, 'Glazing and packing');
  return {
    owner: book.add('labourGrade', {
      name: "Owner's own time",
      wagePerHour: '24',
      onCostPercent: '0',
      productivePercent: '80',
      ownersTime: true,
      departmentId: glazing,
    }),
    maker: book.add('labourGrade', {
      name: 'Maker',
      wagePerHour: '16.50',
      onCostPercent: '22',
      productivePercent: '85',
      departmentId: at(departments, 'Throwing room'),
    }),
    helper: book.add('labourGrade', {
      name: 'Studio helper',
      wagePerHour: '13.20',
      onCostPercent: '18',
      productivePercent: '90',
      departmentId: glazing,
    }),
  };
}

/** The kiln and the wheel, and the firings that all the ware shares. */
export function addMachines(book: BookBuilder, departments: Ids): Ids {
  const kiln = book.add('equipment', {
    name: 'Kiln',
    powerKilowatts: '18',
    loadPercent: '45',
    purchasePrice: '7800',
    residualValue: '600',
    lifeHours: '9000',
    upkeepPerHour: '0.60',
    departmentId: at(departments, 'Kiln room'),
  });
  const wheel = book.add('equipment', {
    name: 'Throwing wheel',
    powerKilowatts: '0.4',
    loadPercent: '60',
    purchasePrice: '1350',
    lifeHours: '12000',
    departmentId: at(departments, 'Throwing room'),
  });
  const firing = (name: string, hoursPerRun: string, space: string, filledPercent: string, emptySpace: string) =>
    book.add('equipmentRun', { name, equipmentId: kiln, hoursPerRun, space, filledPercent, emptySpace });
  return {
    kiln,
    wheel,
    bisque: firing('Bisque firing', '11', '140', '95', 'carried by what is inside'),
    glaze: firing('Glaze firing', '9', '90', '88', 'shown as idle'),
  };
}
