import { civilDate } from '../calendar/civilDate.js';
import { item } from '../schedule/testing/facts.js';
import type { ScheduleItem } from '../schedule/item.js';
import { comingNeeds } from './comingNeeds.js';
import type { TakesOfMachine } from './comingNeeds.js';
import type { Fit } from './fit.js';

const OIL = item('oil', [], { components: ['engineOil'] });
const FILTER = item('filter', [], { components: ['engineOilFilter'] });
const LOOK = item('look', [], { components: ['engineOilFilter'], action: 'inspect' });
const GREASE = item('grease', [], { components: ['greasePoints'], action: 'grease' });
const coming = (of: ScheduleItem, day: string) => ({
  item: of,
  earlyOn: civilDate('2027-05-01'),
  expectedOn: civilDate(day),
  lateOn: null,
  nth: 0,
});
const fit = (
  component: Fit['component'],
  articleId: string,
  standing: Fit['standing'] = 'original',
): Fit => ({
  component,
  articleId,
  standing,
  quantity: null,
});
const TAKES: TakesOfMachine = {
  fits: [fit('engineOil', '10W-30'), fit('engineOilFilter', 'black', 'equal'), fit('engineOilFilter', 'own')],
  spec: {
    fluids: [{ component: 'engineOil', litresWithFilter: 2, litresWithoutFilter: 1.7, grades: [] }],
    fittings: [],
  },
  ofLines: [{ itemId: 'grease', articleId: 'cartridge', quantity: 1 }],
  makersOnly: false,
};
const taken = (works: Parameters<typeof comingNeeds>[0], takes: Partial<TakesOfMachine> = {}) =>
  comingNeeds(works, { ...TAKES, ...takes }).map(({ articles }) =>
    articles.map(({ articleId, quantity }) => `${quantity} ${articleId}`).join(' or '),
  );

describe('what coming work takes', () => {
  it('is what fits, the original first; looking takes nothing, and a line of a book counts where nothing fits', () => {
    const works = [coming(FILTER, '2027-06-01'), coming(LOOK, '2027-06-01'), coming(GREASE, '2027-06-01')];
    expect(taken(works)).toEqual(['1 own or 1 black', '1 cartridge']);
    expect(comingNeeds(works, TAKES)[0]).toMatchObject({
      earlyOn: '2027-05-01',
      expectedOn: '2027-06-01',
      lateOn: null,
    });
  });

  it("is the maker's own alone where the house rule says so, and what there is where there is none", () => {
    const works = [coming(FILTER, '2027-06-01')];
    expect(taken(works, { makersOnly: true })).toEqual(['1 own']);
    const fits = [fit('engineOilFilter', 'black', 'equal')];
    expect(taken(works, { makersOnly: true, fits })).toEqual(['1 black']);
  });

  it.each([
    ['2027-06-15', '2 10W-30'],
    ['2027-06-16', '1.7 10W-30'],
  ])('is more oil where the filter is changed within two weeks of it: on %s', (day, oil) => {
    expect(taken([coming(OIL, '2027-06-01'), coming(FILTER, day)])[0]).toBe(oil);
    // Looking at the filter changes nothing.
    expect(taken([coming(OIL, '2027-06-01'), coming(LOOK, '2027-06-01')])[0]).toBe('1.7 10W-30');
  });

  it('is grease by the strokes of the card: 1.3 g each out of a cartridge of 400 g (common practice)', () => {
    const fitting = (component: Fit['component'], strokes: number) => ({
      component,
      name: '',
      where: '',
      strokes,
    });
    const fittings = [fitting('deckSpindles', 40), fitting('casters', 60), fitting('loaderPins', 100)];
    const spec = { fluids: [], fittings };
    const fits = [fit('greasePoints', 'cartridge')];
    const of = (...components: Fit['component'][]) =>
      taken([coming(item('g', [], { components, action: 'grease' }), '2027-06-01')], {
        spec,
        fits,
        ofLines: [],
      });
    // All but the loader's, which has a book of its own: 100 strokes, 130 g.
    expect(of('greasePoints')).toEqual(['0.325 cartridge']);
    expect(of('deckSpindles', 'deck')).toEqual(['0.13 cartridge']);
    expect(of('loaderPins')).toEqual(['0.325 cartridge']);
    // The card names no fitting of it.
    expect(of('bedHinge')).toEqual([]);
    const own = [...fits, fit('casters', 'marine grease')];
    const casters = item('c', [], { components: ['casters'], action: 'grease' });
    expect(taken([coming(casters, '2027-06-01')], { spec, fits: own, ofLines: [] })).toEqual([
      '0.195 marine grease',
    ]);
    // Looking at them takes none.
    const look = item('l', [], { components: ['casters'], action: 'inspect' });
    expect(taken([coming(look, '2027-06-01')], { spec, fits: own, ofLines: [] })).toEqual([]);
  });
});
