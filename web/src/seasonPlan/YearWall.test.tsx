import { screen, within } from '@testing-library/react';
import type { LoadAheadDto } from '@yugator/contracts';
import { addDays, civilDate } from '@yugator/core';
import { planFixture } from '../testing/plan.js';
import { choose } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { PlanPage } from './PlanPage.js';

const PLAN = planFixture();
const WEEKS = Array.from({ length: 52 }, (_, week) => week);
const LOAD: LoadAheadDto = {
  weeks: WEEKS.map((week) => ({
    from: addDays(civilDate(PLAN.today), 7 * week),
    minutes: 100,
    // Of the second four weeks more is asked than there is.
    expected: week === 5 ? 500 : 20,
    low: 0,
    high: 500,
  })),
  machines: [
    {
      machine: { id: 'm1', tag: 'M-07', name: 'Lakeside zero-turn' },
      minutes: WEEKS.map((week) => (week === 2 || week === 3 ? 45 : 0)),
      // At rest in four weeks of a column, and in three of the next one.
      isAtRest: WEEKS.map((week) => week >= 28 && week < 35),
    },
  ],
  shortages: [],
};
const show = async (load = LOAD) => {
  wire({ '/api/season-plan?weeks=12': PLAN, '/api/season-plan/load': load });
  showTo('mechanic', <PlanPage />);
  await screen.findByText(/published/);
  await choose('Shown', 'a year');
  await screen.findByText(/Four weeks to a column/);
};
const cells = () =>
  within(screen.getByRole('row', { name: /^M-07/ }))
    .getAllByRole('cell')
    .map((cell) => [cell.textContent, cell.getAttribute('data-rests')]);

it('says what each machine will ask of the workshop in a year, when it rests, and what is planned', async () => {
  await show();
  expect(cells()).toHaveLength(13);
  expect(cells()[0]).toEqual(['90 min1 visit planned', 'false']);
  expect(cells().flatMap(([, isAtRest], at) => (isAtRest === 'true' ? [at] : []))).toEqual([7]);
});

it('says in which four weeks more is asked than there is', async () => {
  await show();
  const heads = screen.getAllByRole('columnheader').map(({ textContent }) => textContent);
  expect(heads[1]).toContain('80 of 400 min');
  expect(heads.filter((head) => head?.includes('more than there is'))).toEqual([
    expect.stringContaining('560 of 400 min'),
  ]);
});

it('shows sixty machines at once, and the others on demand', async () => {
  const [first] = LOAD.machines;
  if (!first) throw new Error('There is a machine.');
  const machines = Array.from({ length: 70 }, (_, at) => ({
    ...first,
    machine: { ...first.machine, id: `x${at}`, tag: `X-${at}` },
  }));
  await show({ ...LOAD, machines });
  expect(screen.getAllByRole('row')).toHaveLength(61);
  expect(screen.getByRole('button', { name: '10 machines more: show them' })).toBeVisible();
});
