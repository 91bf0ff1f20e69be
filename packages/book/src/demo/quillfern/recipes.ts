/** What a product of the demo book is made of. */
export interface Recipe {
  readonly fields: Record<string, unknown>;
  /** Item, quantity, unit, basis (started unit unless said), loss %. */
  readonly lines?: readonly (readonly [item: string, quantity: string, unit: string, basis?: string, loss?: string])[];
  /** Step, grade, stated as, time, people, minutes of set-up. */
  readonly steps?: readonly (readonly [
    name: string,
    grade: string,
    timeBasis: string,
    time: string,
    people?: string,
    setUpMinutes?: string,
  ])[];
  readonly others?: readonly (readonly [name: string, amount: string, basis: string])[];
  /** Machine or firing, stated as, how much. */
  readonly uses?: readonly (readonly [machine: string, basis: string, amount: string])[];
  /** Element, amount, hours: of a quick product. */
  readonly typed?: readonly (readonly [element: string, amount: string, hours?: string])[];
}

/** The products of the studio. */
export const RECIPES: readonly Recipe[] = [
  {
    fields: {
      name: 'Moss glaze',
      outputUnit: 'kg',
      batchSize: '10',
      yieldPercent: '96',
      note: 'Weighed dry, sold to nobody: it goes into the ware.',
    },
    lines: [
      ['Potash feldspar', '4.2', 'kg', 'batch'],
      ['Silica', '2.4', 'kg', 'batch'],
      ['Whiting', '1.8', 'kg', 'batch'],
      ['China clay', '1.1', 'kg', 'batch'],
      ['Copper carbonate', '350', 'g', 'batch', '2'],
      ['Red iron oxide', '120', 'g', 'batch', '2'],
    ],
    steps: [['Weigh and sieve', 'helper', 'minutes per batch', '75']],
  },
  {
    fields: {
      name: 'Everyday mug',
      category: 'tableware',
      code: 'MUG-1',
      gtin: '2000000000015',
      batchSize: '60',
      yieldPercent: '92',
    },
    lines: [
      ['White stoneware clay', '420', 'g', 'started unit', '8'],
      ['Moss glaze', '38', 'g', 'started unit', '5'],
      ['Wax resist', '3', 'ml'],
      ['Maker stamp label', '1', 'each', 'good unit'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Shredded paper', '60', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '11', '1', '20'],
      ['Pull and fix handles', 'maker', 'minutes per unit', '3'],
      ['Glaze', 'helper', 'minutes per unit', '2'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Pack', 'helper', 'minutes per unit', '2'],
    ],
    uses: [
      ['wheel', 'minutes per unit', '5.5'],
      ['bisque', 'space per unit', '1'],
      ['glaze', 'space per unit', '1'],
    ],
  },
  {
    fields: {
      name: 'Breakfast bowl',
      category: 'tableware',
      batchSize: '40',
      yieldPercent: '90',
    },
    lines: [
      ['Speckled stoneware clay', '650', 'g', 'started unit', '8'],
      ['White slip', '45', 'ml', 'started unit', '10'],
      ['Maker stamp label', '1', 'each', 'good unit'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Shredded paper', '80', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '9'],
      ['Slip and glaze', 'helper', 'minutes per unit', '3'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '45'],
      ['Pack', 'helper', 'minutes per unit', '2'],
    ],
    uses: [
      ['wheel', 'minutes per unit', '6.5'],
      ['bisque', 'space per unit', '1.4'],
      ['glaze', 'space per unit', '1.5'],
    ],
  },
  {
    fields: {
      name: 'Teapot with cane handle',
      category: 'tableware',
      batchSize: '12',
      yieldPercent: '83',
      madePerMonth: '24',
    },
    lines: [
      ['Speckled stoneware clay', '1.35', 'kg', 'started unit', '10'],
      ['Moss glaze', '110', 'g', 'started unit', '5'],
      ['Cane handle', '1', 'each', 'good unit', '3'],
      ['Double-wall carton, large', '1', 'each', 'good unit'],
      ['Shredded paper', '220', 'g', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Throw body, lid and spout', 'maker', 'minutes per unit', '34', '1', '15'],
      ['Assemble', 'maker', 'minutes per unit', '16'],
      ['Glaze', 'maker', 'minutes per unit', '6'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Fix handle and pack', 'helper', 'minutes per unit', '7'],
    ],
    uses: [
      ['wheel', 'minutes per unit', '30'],
      ['bisque', 'space per unit', '2.5'],
      ['glaze', 'space per unit', '3'],
    ],
  },
  {
    fields: {
      name: 'Serving platter',
      category: 'tableware',
      batchSize: '10',
      yieldPercent: '78',
      madePerMonth: '18',
    },
    lines: [
      ['White stoneware clay', '2.6', 'kg', 'started unit', '6'],
      ['White slip', '85', 'g', 'started unit', '10'],
      ['Double-wall carton, large', '1', 'each', 'good unit'],
      ['Kraft paper', '1.8', 'm', 'good unit'],
      ['Care card', '1', 'each', 'good unit'],
    ],
    steps: [
      ['Roll and form', 'maker', 'minutes per unit', '22'],
      ['Decorate', 'owner', 'minutes per unit', '14'],
      ['Load and empty the kiln', 'owner', 'minutes per batch', '50'],
      ['Pack', 'helper', 'minutes per unit', '6'],
    ],
    uses: [
      ['bisque', 'space per unit', '4'],
      ['glaze', 'space per unit', '5'],
    ],
  },
  {
    fields: {
      name: 'Cobalt side plate',
      category: 'tableware',
      batchSize: '30',
      yieldPercent: '88',
      note: 'On trial: not on sale yet.',
    },
    lines: [
      ['Porcelain body', '380', 'g', 'started unit', '9'],
      ['Cobalt oxide', '6', 'g'],
      ['porcelain slip', '20', 'g'],
      ['Single-wall carton, small', '1', 'each', 'good unit'],
      ['Paper tape', '0.8', 'm', 'good unit'],
    ],
    steps: [
      ['Throw and turn', 'maker', 'units per hour', '8'],
      ['Decorate', 'owner', 'minutes per unit', '6'],
    ],
    uses: [
      ['wheel', 'minutes per unit', '7.5'],
      ['bisque', 'space per unit', '1.2'],
      ['glaze', 'space per unit', '1.6'],
    ],
  },
  {
    fields: { name: 'Gift set, two mugs', category: 'gifts', kind: 'bundle', batchSize: '10', madePerMonth: '30' },
    lines: [
      ['Everyday mug', '2', 'each'],
      ['Gift box, two mugs', '1', 'each'],
      ['Ribbon', '1', 'each'],
    ],
    steps: [['Wrap', 'helper', 'minutes per unit', '6']],
  },
  {
    fields: { name: 'Cork trivet', category: 'gifts', kind: 'resale', batchSize: '20' },
    lines: [
      ['Cork trivet, round', '1', 'each', 'started unit', '1.5'],
      ['Kraft paper', '0.5', 'm', 'good unit'],
    ],
    steps: [['Check, label and pack', 'helper', 'minutes per unit', '3']],
  },
  {
    fields: {
      name: 'Glazing workshop, two hours',
      category: 'classes',
      kind: 'service',
      batchSize: '8',
    },
    lines: [
      ['Workshop biscuit bowl', '1', 'each', 'started unit', '4'],
      ['Moss glaze', '60', 'g', 'started unit', '15'],
      ['Underglaze pencil', '0.25', 'each'],
    ],
    steps: [
      ['Teach', 'owner', 'minutes per batch', '120'],
      ['Prepare and clear up', 'helper', 'minutes per batch', '90'],
    ],
    others: [['Tea and biscuits', '1.60', 'unit']],
    uses: [['glaze', 'space per unit', '0.9']],
  },
  {
    fields: {
      name: 'Soap dish',
      category: 'gifts',
      batchSize: '20',
      costing: 'typed totals',
      note: 'Costed by rule of thumb until the first batch is made.',
    },
    typed: [
      ['materials', '0.90'],
      ['packaging', '0.55'],
      ['labour', '2.40', '0.12'],
      ['equipment', '0.70'],
    ],
  },
];
