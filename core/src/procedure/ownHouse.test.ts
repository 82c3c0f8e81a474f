import { fillPlan } from '../fluid/fillPlan.js';
import { isInSpec } from '../measurement/measurement.js';
import { DEFAULT_FIGURES } from '../site/houseFigures.js';
import { withDefaults } from '../site/houseRules.js';
import { sheetSteps } from './compose.js';
import { fillNeedOf } from './fillNeed.js';
import { setUp, work } from './testing/jobs.js';

const OIL = work('Engine oil and filter', 'replace', 'engineOil', 'engineOilFilter');
const filterOn = (rules: Record<string, string>, figures = DEFAULT_FIGURES) => {
  const own = setUp([OIL], { rules: withDefaults(rules), figures });
  return sheetSteps(own).find(({ key }) => key === 'oilFilter.filterOn')?.text;
};

describe("the crew's own figures on a sheet", () => {
  it('say by how much a filter is snugged', () => {
    expect(filterOn({ filterTightness: 'snug' }, { ...DEFAULT_FIGURES, snugDegrees: 60 })).toContain(
      'then 60° more with the wrench',
    );
  });

  it('leave free so much of the way between the marks', () => {
    const figures = { ...DEFAULT_FIGURES, shadeShare: 0.2 };
    const own = setUp([OIL], { rules: withDefaults({ fillTarget: 'shadeUnder' }), figures });
    const targets = sheetSteps(own).flatMap((step) => {
      const need = fillNeedOf(step, own);
      return need ? [fillPlan(need).target] : [];
    });
    // 2.0 L less a fifth of the half litre that is usual between the marks; at the first pour and at the dipstick.
    expect(targets).toEqual([expect.closeTo(1.9, 9), expect.closeTo(1.9, 9)]);
  });

  it.each([
    [12.4, 12.35, false],
    [12.3, 12.35, true],
    // Below half charged none is good, whatever stands in the rules.
    [12, 12.19, false],
    [12, 12.2, true],
  ])('take a battery from %s V: one at %s V is good: %s', (restGoodVolts, volts, isGood) => {
    const own = setUp([work('Battery', 'inspect', 'battery')], {
      figures: { ...DEFAULT_FIGURES, restGoodVolts },
    });
    const measured = sheetSteps(own).flatMap(({ measurement }) => measurement ?? []);
    const rest = measured.filter(({ kind }) => kind === 'battery');
    expect(rest.map((each) => isInSpec(each, { volts }))).toEqual([isGood]);
  });
});

describe('a smaller filter', () => {
  it('goes on only where its maker put it in place of the old number, and nowhere where the house refuses it', () => {
    expect(filterOn({ supersession: 'accepted' })).toContain(
      'smaller only where its maker put it in place of the old number, and then write both numbers down',
    );
    expect(filterOn({ supersession: 'refused' })).toContain(
      'same height as the old one or taller, never smaller.',
    );
  });
});
