import { RECHARGE_BELOW_VOLTS } from './battery.js';
import { passesLoad } from './loadTest.js';

/** What is known so far; a question without an answer is left out. */
export interface SearchAnswers {
  /** what the machine does when the key is turned */
  readonly turns?: 'cranks' | 'slow' | 'nothing';
  /** V at rest */
  readonly rest?: number;
  /** V at rest, some hours after charging */
  readonly charged?: number;
  /** V at the end of the load */
  readonly load?: number;
  /** °C of the battery at the load test */
  readonly celsius?: number;
  readonly terminals?: 'good' | 'bad';
  readonly fuse?: 'whole' | 'blown';
  readonly switches?: 'same' | 'starts';
}

export type SearchQuestion = 'turns' | 'rest' | 'charged' | 'load' | 'terminals' | 'fuse' | 'switches';

export type SearchVerdict =
  /** the battery holds no charge, or not under load */
  | 'newBattery'
  | 'cleanTerminals'
  /** once; a second one that blows has a cause */
  | 'newFuse'
  | 'safetySwitch'
  /** it turns over: the starting circuit is not the fault */
  | 'fuelOrSpark'
  | 'technician';

export interface Search {
  /** questions in their order, up to the first that is open */
  readonly asked: readonly SearchQuestion[];
  /** null while something is still to be asked */
  readonly verdict: SearchVerdict | null;
}

interface Stage {
  readonly question: SearchQuestion;
  /** whether it is asked at all */
  readonly isAsked: (answers: SearchAnswers) => boolean;
  /** 'open' while it has no answer, a verdict that ends the search, or null to go on */
  readonly found: (answers: SearchAnswers) => SearchVerdict | 'open' | null;
}

/** A battery that is low is charged before anything else is judged. */
const isLow = (volts: number | undefined) => volts !== undefined && volts < RECHARGE_BELOW_VOLTS;
const always = () => true;

/** From the cheapest look to the dearest, as good mechanics search (common practice). */
const STAGES: readonly Stage[] = [
  {
    question: 'turns',
    isAsked: always,
    found: ({ turns }) => (turns === undefined ? 'open' : turns === 'cranks' ? 'fuelOrSpark' : null),
  },
  { question: 'rest', isAsked: always, found: ({ rest }) => (rest === undefined ? 'open' : null) },
  {
    question: 'charged',
    isAsked: ({ rest }) => isLow(rest),
    found: ({ charged }) => (charged === undefined ? 'open' : isLow(charged) ? 'newBattery' : null),
  },
  {
    question: 'load',
    isAsked: always,
    found: ({ load, celsius }) => {
      if (load === undefined || celsius === undefined) return 'open';
      return passesLoad(load, celsius) ? null : 'newBattery';
    },
  },
  {
    question: 'terminals',
    isAsked: always,
    found: ({ terminals }) =>
      terminals === undefined ? 'open' : terminals === 'bad' ? 'cleanTerminals' : null,
  },
  {
    question: 'fuse',
    // What turns slowly has its current.
    isAsked: ({ turns }) => turns === 'nothing',
    found: ({ fuse }) => (fuse === undefined ? 'open' : fuse === 'blown' ? 'newFuse' : null),
  },
  {
    question: 'switches',
    isAsked: ({ turns }) => turns === 'nothing',
    found: ({ switches }) =>
      switches === undefined ? 'open' : switches === 'starts' ? 'safetySwitch' : null,
  },
];

/** Why a machine does not start, as far as a crew can find out: what is asked next, or what is to be done. */
export function searchNoStart(answers: SearchAnswers): Search {
  const asked: SearchQuestion[] = [];
  for (const { question, isAsked, found } of STAGES) {
    if (!isAsked(answers)) continue;
    asked.push(question);
    const result = found(answers);
    if (result === 'open') return { asked, verdict: null };
    if (result) return { asked, verdict: result };
  }
  return { asked, verdict: 'technician' };
}
