import type { FieldFaultDto, OutcomeDto } from '@yugator/contracts';
import { outcomeFaults as faultsOf } from '@yugator/core';
import type { CivilDate, LifeOn, OutcomeFault } from '@yugator/core';
import { fault } from '../problem/problem.js';

/** A fault in one sentence, with the way out. */
function words(own: OutcomeFault): string {
  switch (own.field) {
    case 'untilLife': {
      if (own.code === 'missing') return 'Say until which hours or which day.';
      const whose = own.meter === 'engine' ? 'machine' : own.meter;
      return `The ${whose} has ${own.life} h already. Give more hours than that.`;
    }
    case 'untilMeter':
      return `The machine has no ${own.meter}. Give engine hours or a day.`;
    case 'untilOn':
      return 'Give a day to come.';
    case 'note':
      return own.outcome === 'deferred' ? 'Say why it is put off.' : 'Say what is wrong.';
    case 'severity':
      return 'Say how bad it is: watch it, mend it soon, or not to be used.';
  }
}

/** What is missing or cannot be in what is said of an item; `lifeOn` says what the meters stand at. */
export function outcomeFaults(fields: OutcomeDto, today: CivilDate, lifeOn: LifeOn): FieldFaultDto[] {
  return faultsOf(fields, today, lifeOn).map((own) => fault(`/${own.field}`, own.code, words(own)));
}
