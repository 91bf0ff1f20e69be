import { SERVICE_METHODS, type ServiceMethod } from '@nuvar/book';
import {
  departmentCost,
  departmentCosts,
  serviceShare,
  lotUse,
  methodOf,
  methodOfTheBook,
  overheadLot,
  sharedOut,
} from '../../overhead/index.js';
import type { Figure } from '../../figure/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown, shownAll } from '../general/figure-view.js';

/** One service department as it passes on its cost. */
export interface PassedOnView {
  readonly serviceId: string;
  readonly name: string;
  readonly cost: FigureView;
  /** Of that, what goes to other services. */
  readonly toServices: FigureView;
  /** By the id of the receiver. */
  readonly shares: Readonly<Record<string, FigureView>>;
  /** The services whose use of it is left out, by name. */
  readonly leftOut: readonly string[];
}

/** What each department bears under one way of passing on services. */
export interface ServiceMethodView {
  readonly method: ServiceMethod;
  readonly departments: Readonly<Record<string, Readonly<Record<'primary' | 'received' | 'total', FigureView>>>>;
  readonly services: readonly PassedOnView[];
  readonly unassigned: readonly { readonly label: string; readonly why: string; readonly cost: FigureView }[];
}

export interface DepartmentsView {
  /** The method by which rates are shown: that of the book where it goes by departments, else the first that does. */
  readonly methodId: string;
  readonly serviceMethod: ServiceMethod;
  readonly methods: readonly ServiceMethodView[];
  /** By the id of the production department. */
  readonly rates: Readonly<
    Record<
      string,
      Readonly<Record<'cost' | 'basis' | 'rate' | 'used' | 'assigned' | 'unused', FigureView>> & {
        readonly basisNote: string;
      }
    >
  >;
}

/** Departments with what they bear under the three ways of passing on services, and their absorption rates. */
export function departmentsView(evaluation: Evaluation): DepartmentsView {
  const { sheet } = evaluation;
  const ofBook = methodOf(sheet, methodOfTheBook(sheet));
  const byDepartment = 'by department';
  const method =
    ofBook.type === byDepartment
      ? ofBook
      : (sheet.all('costingMethod').find(({ type }) => type === byDepartment) ?? methodOf(sheet, byDepartment));
  const lots = evaluation.read(sharedOut, method.id).lots.filter(({ id }) => id.startsWith('department.'));
  return {
    methodId: method.id,
    serviceMethod: method.serviceMethod,
    methods: SERVICE_METHODS.map((each) => serviceMethodView(evaluation, each)),
    rates: Object.fromEntries(
      lots.map(({ id, basis }) => [
        id.slice('department.'.length),
        {
          ...shownAll(evaluation, overheadLot, `${method.id}@${id}`, ['cost', 'basis', 'rate']),
          ...shownAll(evaluation, lotUse, `${method.id}@${id}`, ['used', 'assigned', 'unused']),
          basisNote: basis.note,
        },
      ]),
    ),
  };
}

function serviceMethodView(evaluation: Evaluation, method: ServiceMethod): ServiceMethodView {
  const { sheet } = evaluation;
  const nameOf = (id: string) => sheet.row('department', id)?.name ?? '';
  const { departments, services, unassigned } = evaluation.read(departmentCosts, method);
  return {
    method,
    departments: Object.fromEntries(
      departments.map(({ id }) => [
        id,
        shownAll(evaluation, departmentCost, `${method}@${id}`, ['primary', 'received', 'total']),
      ]),
    ),
    services: services.map(({ serviceId, shares, leftOut }) => ({
      serviceId,
      name: nameOf(serviceId),
      cost: shown(evaluation, departmentCost, `${method}@${serviceId}`, 'total'),
      toServices: shown(
        evaluation,
        departmentCost as Calculation<Record<'toServices', Figure>>,
        `${method}@${serviceId}`,
        'toServices',
      ),
      shares: Object.fromEntries(
        [...shares.keys()].map((id) => [id, shown(evaluation, serviceShare, `${method}@${serviceId}@${id}`, 'share')]),
      ),
      leftOut: leftOut.map(nameOf),
    })),
    unassigned: unassigned.map(({ label, why, cost }) => ({ label, why, cost: figureView(cost, '') })),
  };
}
