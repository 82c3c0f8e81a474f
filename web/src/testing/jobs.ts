import type { JobDto } from '@yugator/contracts';
import { emptySpecCard } from '@yugator/contracts';
import { DEFAULT_HOUSE, usualFittings } from '@yugator/core';

/** Three items of a mower: oil, air filter and blades. */
export const ITEMS = [
  {
    id: 'oil',
    name: 'Engine oil and filter',
    action: 'replace',
    components: ['engineOil', 'engineOilFilter'],
  },
  { id: 'air', name: 'Air filter: look at', action: 'inspect', components: ['airFilter'] },
  { id: 'blades', name: 'Blades: sharpen and balance', action: 'sharpen', components: ['blades'] },
] as const;
/** An item of the job as somebody left it. */
export const item = (
  id: string,
  outcome: JobDto['items'][number]['outcome'] = null,
): JobDto['items'][number] => ({
  itemId: id,
  name: ITEMS.find((each) => each.id === id)?.name ?? '',
  minutes: 30,
  outcome,
  version: outcome ? 2 : 1,
  due: null,
  untilLife: null,
  untilMeter: null,
  untilOn: null,
  severity: null,
  leavesOutNext: false,
  mayLeaveOutNext: false,
  note: '',
});
export const KIT = {
  articleId: '00000000-0000-7000-8000-000000000003',
  name: 'Oil change kit',
  quantity: 1,
  onHand: 5,
  priceMinor: 2890,
  unit: 'piece' as const,
  component: null,
  judgement: null,
  sheds: [],
};
/** An open job on a zero-turn that nobody began yet. */
export const job = (over: Partial<JobDto> = {}): JobDto => ({
  id: 'j',
  machine: { id: 'm', tag: 'M-07', name: 'Lakeside' },
  state: 'open',
  openedOn: '2027-05-12',
  openedBy: 'Marit',
  lastShown: 412.6,
  expectedShown: 418.2,
  labourRateMinor: 3000,
  version: 1,
  record: null,
  steps: [],
  defects: [],
  photos: [],
  accessPhotos: [],
  earlier: [],
  items: ITEMS.map(({ id }) => item(id)),
  setUp: {
    machineClass: 'zeroTurn',
    fuel: 'gasoline',
    cooling: 'air',
    ...DEFAULT_HOUSE,
    items: ITEMS,
    fittings: usualFittings('zeroTurn', 'gasoline'),
    spec: {
      ...emptySpecCard(),
      fluids: [{ component: 'engineOil', litresWithFilter: 2, litresWithoutFilter: 1.7, grades: [] }],
    },
  },
  needs: [{ ...KIT, itemId: 'oil', onHand: 0 }],
  kits: [],
  shed: null,
  fluids: [],
  expected: null,
  vessels: { panLitres: 1.5, extractorLitres: 6, roomLitres: 1 },
  pausedReason: null,
  ...over,
});
