import type { ArticleKind, ArticleUnit } from '@yugator/contracts';
import { DUNMALLET, HOBBIN_DIESEL, HOBBIN_GAS, HOBBIN_RIDER, QUILLON, VERRICK } from './larkmere.js';

/** What stands on the shelf of the invented crew. */
export interface DemoArticle {
  readonly name: string;
  readonly kind: ArticleKind;
  readonly unit: ArticleUnit;
  readonly leastOnHand: number;
  /** how much comes in at once */
  readonly lot: number;
  readonly priceMinor: number;
  /** of a kit: what it holds, by name */
  readonly holds?: readonly (readonly [name: string, quantity: number])[];
  /** what takes it: book, item, how much */
  readonly needs: readonly (readonly [book: string, item: string, quantity: number])[];
}

const OIL = 'Engine oil and filter';

export const ARTICLES: readonly DemoArticle[] = [
  {
    name: 'Oil change kit, V-twin',
    kind: 'kit',
    unit: 'piece',
    leastOnHand: 3,
    lot: 6,
    priceMinor: 2890,
    holds: [
      ['10W-30 engine oil', 1.9],
      ['Oil filter, V-twin', 1],
      ['Spark plug, 5/8 in', 2],
      ['Fuel filter, in-line', 1],
    ],
    needs: [
      [QUILLON, OIL, 1],
      [VERRICK, OIL, 1],
    ],
  },
  {
    name: 'Oil filter, V-twin',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 1,
    lot: 2,
    priceMinor: 790,
    needs: [],
  },
  {
    name: 'Air filter, V-twin',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 3,
    lot: 8,
    priceMinor: 1150,
    needs: [
      [HOBBIN_RIDER, 'Air filter: replace', 1],
      [QUILLON, 'Air filter: replace', 1],
      [VERRICK, 'Air filter: replace', 1],
    ],
  },
  {
    name: 'Fuel filter, in-line',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 4,
    lot: 10,
    priceMinor: 420,
    needs: [
      [QUILLON, 'Fuel filter: replace', 1],
      [VERRICK, 'Fuel filter: replace', 1],
    ],
  },
  {
    name: 'Spark plug, 5/8 in',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 6,
    lot: 20,
    priceMinor: 380,
    needs: [
      [HOBBIN_RIDER, 'Spark plug: replace', 1],
      [QUILLON, 'Spark plugs: replace', 2],
      [VERRICK, 'Spark plugs: replace', 2],
    ],
  },
  {
    name: 'Grease cartridge, NLGI 2, 400 g',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 4,
    lot: 10,
    priceMinor: 490,
    needs: [],
  },
  {
    name: '10W-30 engine oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 5,
    lot: 20,
    priceMinor: 640,
    needs: [
      [HOBBIN_GAS, OIL, 1.9],
      [HOBBIN_RIDER, 'Engine oil', 1.4],
    ],
  },
  {
    name: '15W-40 diesel engine oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 8,
    lot: 20,
    priceMinor: 590,
    needs: [
      [DUNMALLET, OIL, 3.7],
      [HOBBIN_DIESEL, OIL, 2.8],
    ],
  },
  {
    name: 'Oil filter, small engine',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 6,
    priceMinor: 690,
    needs: [[HOBBIN_RIDER, 'Oil filter', 1]],
  },
  {
    name: 'Oil filter, tractor',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 4,
    priceMinor: 1340,
    needs: [[DUNMALLET, OIL, 1]],
  },
  {
    name: 'Oil filter, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 6,
    priceMinor: 980,
    needs: [
      [HOBBIN_GAS, OIL, 1],
      [HOBBIN_DIESEL, OIL, 1],
    ],
  },
  {
    name: 'Transmission and hydraulic oil',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 20,
    lot: 60,
    priceMinor: 710,
    needs: [
      [DUNMALLET, 'Transmission oil, strainer and filter', 18],
      [VERRICK, 'Hydro oil and filters', 4.2],
    ],
  },
  {
    name: 'Hydraulic filter pair, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 1,
    lot: 2,
    priceMinor: 4600,
    needs: [
      [HOBBIN_GAS, 'Hydraulic filters, both', 1],
      [HOBBIN_DIESEL, 'Hydraulic filters, both', 1],
    ],
  },
  {
    name: 'Air filter, utility vehicle',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 2,
    lot: 4,
    priceMinor: 1680,
    needs: [
      [HOBBIN_GAS, 'Air filter: replace', 1],
      [HOBBIN_DIESEL, 'Air filter: replace', 1],
    ],
  },
  {
    name: 'Primary air element, tractor',
    kind: 'part',
    unit: 'piece',
    leastOnHand: 1,
    lot: 3,
    priceMinor: 3250,
    needs: [[DUNMALLET, 'Primary air element: replace', 1]],
  },
  {
    name: 'Coolant, ready mixed',
    kind: 'fluid',
    unit: 'litre',
    leastOnHand: 5,
    lot: 10,
    priceMinor: 450,
    needs: [[DUNMALLET, 'Coolant: change', 5]],
  },
];
