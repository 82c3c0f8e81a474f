import { screen } from '@testing-library/react';
import type { PlanTroubleDto } from '@yugator/contracts';
import { showTo, wire } from '../testing/wire.js';
import { PlanStanding } from './PlanStanding.js';
import { troubleWords } from './troubleWords.js';

const MOWER = { id: 'm1', tag: 'M-07', name: 'Lakeside zero-turn' };
const trouble = (over: Partial<PlanTroubleDto>): PlanTroubleDto => ({
  kind: 'late',
  machine: MOWER,
  on: '2027-05-18',
  lines: ['Blades: sharpen'],
  ...over,
});

it.each<[string, Partial<PlanTroubleDto>]>([
  ['M-07: Blades: sharpen will be past the limit on Tuesday, when it is planned', {}],
  [
    'M-07: Blades: sharpen will be past the limit, and no visit is planned for it',
    { kind: 'notPlanned', on: null },
  ],
  ['M-07: the parts for Blades: sharpen come after the visit planned on Tuesday', { kind: 'noParts' }],
  ['M-07: the workshop is closed on Tuesday', { kind: 'closed', lines: [] }],
  ['M-07 is needed elsewhere on Tuesday', { kind: 'needed', lines: [] }],
  [
    'More is planned on Tuesday than there is time or room for',
    { kind: 'tooFull', machine: null, lines: [] },
  ],
])('says "%s"', (words, over) => {
  expect(troubleWords(trouble(over), '2027-05-13')).toBe(words);
});

it('counts what is wrong, names it on demand, and leads the crew lead to the plan', async () => {
  const troubles = [
    trouble({}),
    trouble({ on: '2027-05-21' }),
    trouble({ kind: 'tooFull', machine: null, lines: [] }),
    trouble({ kind: 'closed', lines: [] }),
  ];
  wire({ '/api/season-plan/troubles': { troubles } });
  showTo('crewLead', <PlanStanding again="/season/plan" />);
  expect(
    await screen.findByText(/2 visits too late, 1 visit not possible on the day, 1 day too full/),
  ).toBeVisible();
  expect(screen.getAllByRole('listitem', { hidden: true })).toHaveLength(4);
  expect(screen.getByRole('link', { name: 'Look at the plan' })).toHaveAttribute('href', '/season/plan');
});

it('says nothing while the plan holds, and asks nothing for operators', async () => {
  const { sent } = wire({});
  const { container } = showTo('operator', <PlanStanding />);
  expect(container).toBeEmptyDOMElement();
  expect(sent).toEqual([]);
});
