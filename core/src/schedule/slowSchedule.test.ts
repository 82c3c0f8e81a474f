import type { Limit } from './limit.js';
import { machineSchedule } from './machineSchedule.js';
import { scheduleContext } from './scheduleContext.js';
import { randomMachine } from './testing/randomMachine.js';
import { pointText, SlowMachine } from './testing/slowSchedule.js';

/** Fewer where each mutant of the rules is tried (jest.mutate.cjs). */
const FEWER = process.env['ORACLE_MACHINES'];
const MACHINES = Number(FEWER ?? 1000);
const FIRST_OF_EACH_THOUSAND = FEWER ? [1] : [1, 100_001, 200_001];

function textOf(limit: Limit): string {
  return limit.kind === 'hours'
    ? pointText({ at: limit.at, on: null, meter: limit.meter })
    : pointText({ at: 0, on: limit.on, meter: null });
}

describe('a second schedule that walks from day to day', () => {
  it.each(FIRST_OF_EACH_THOUSAND)(
    `agrees on ${MACHINES} machines from %d on: every state, every due point, every expected day`,
    (first) => {
      const states = new Set<string>();
      const rules = new Set<string>();
      for (let seed = first; seed < first + MACHINES; seed += 1) {
        const machine = randomMachine(seed);
        const { answers } = machineSchedule(machine.facts, scheduleContext(machine.site, machine.today));
        const slow = new SlowMachine(machine);
        expect(answers.map(({ item: { id } }) => id).sort()).toEqual(slow.items.map(({ id }) => id).sort());
        const told = answers.map(({ item, state, expectedOn, limits }) => ({
          item: item.id,
          state,
          expectedOn,
          points: limits.map(textOf).sort(),
        }));
        const walked = answers.map(({ item }) => {
          const { state, expectedOn, points } = slow.answer(item);
          return { item: item.id, state, expectedOn, points: [...points].sort() };
        });
        expect({ seed, told }).toEqual({ seed, told: walked });
        const outOfOrder = answers.filter(
          ({ earlyOn, expectedOn, lateOn }) =>
            expectedOn !== null &&
            ((earlyOn !== null && earlyOn > expectedOn) || (lateOn !== null && lateOn < expectedOn)),
        );
        expect({ seed, outOfOrder }).toEqual({ seed, outOfOrder: [] });
        for (const { state, deciding } of answers) {
          states.add(state);
          if (deciding) rules.add(deciding.rule.kind);
        }
      }
      // Every state comes up, and every kind of rule decides somewhere.
      expect([...states].sort()).toEqual(['coming', 'fine', 'noRecord', 'overdue', 'resting', 'ripe']);
      expect([...rules].sort()).toEqual(
        [
          ...['deferred', 'everyCalendar', 'everyHours', 'everyNth', 'firstCalendar', 'firstHours'],
          ...['kept', 'leftOut', 'seasonEdge', 'storage'],
        ].sort(),
      );
    },
  );
});
