import { machineSchedule } from './machineSchedule.js';
import { scheduleContext } from './scheduleContext.js';
import { randomMachine } from './testing/randomMachine.js';
import { SlowMachine } from './testing/slowSchedule.js';

const MACHINES = 1000;

describe('a second schedule that walks from day to day', () => {
  it(`agrees on ${MACHINES} machines: every state, every due point, every expected day`, () => {
    const states = new Set<string>();
    for (let seed = 1; seed <= MACHINES; seed += 1) {
      const { facts, site, today } = randomMachine(seed);
      const { answers } = machineSchedule(facts, scheduleContext(site, today));
      const slow = new SlowMachine(facts, site, today);
      for (const { item, state, expectedOn, limits } of answers) {
        const points = limits
          .map((limit) => (limit.kind === 'hours' ? limit.at : limit.on))
          .map(String)
          .sort();
        const other = slow.answer(item);
        states.add(state);
        expect({ seed, item: item.id, state, expectedOn, points }).toEqual({
          ...{ seed, item: item.id, state: other.state, expectedOn: other.expectedOn },
          points: other.points.map(String).sort(),
        });
      }
    }
    expect([...states].sort()).toEqual(['coming', 'fine', 'noRecord', 'overdue', 'resting', 'ripe']);
  });
});
