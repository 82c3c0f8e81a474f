import { RECHARGE_BELOW_VOLTS } from './battery.js';
import { passesLoad } from './loadTest.js';

/** What may be answered where no figure is asked. */
export const SEARCH_CHOICES = {
  /** what the machine does when the key is turned */
  turns: ['cranks', 'slow', 'nothing'],
  /** a load tester: without one a machine that does nothing cannot be loaded */
  tester: ['atHand', 'none'],
  terminals: ['good', 'bad'],
  fuse: ['whole', 'blown'],
  switches: ['same', 'starts'],
} as const;
type SearchChoices = { readonly [K in keyof typeof SEARCH_CHOICES]?: (typeof SEARCH_CHOICES)[K][number] };

/** What is known so far; a question without an answer is left out. */
export interface SearchAnswers extends SearchChoices {
  /** V at rest */
  readonly rest?: number;
  /** V at rest, some hours after charging */
  readonly charged?: number;
  /** V at the end of the load */
  readonly load?: number;
  /** °C of the battery at the load test */
  readonly celsius?: number;
}

export type SearchQuestion = 'turns' | 'rest' | 'charged' | 'load' | 'terminals' | 'fuse' | 'switches';

export const SEARCH_VERDICTS = [
  /** the battery holds no charge, or not under load */
  'newBattery',
  'cleanTerminals',
  /** once; a second one that blows has a cause */
  'newFuse',
  'safetySwitch',
  /** it turns over: the starting circuit is not the fault */
  'fuelOrSpark',
  'technician',
] as const;
export type SearchVerdict = (typeof SEARCH_VERDICTS)[number];

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

/** A load test is answered by its figure, the temperature at it, or that there is no tester. */
const LOAD_ANSWERS = ['load', 'celsius', 'tester'];

/** A battery that is low is charged before anything else is judged. */
const isLow = (volts: number | undefined) => volts !== undefined && volts < RECHARGE_BELOW_VOLTS;
const always = () => true;

/** Whether nothing can load the battery: it does not crank, and there is no tester. */
export function isUnloaded({ turns, tester }: SearchAnswers): boolean {
  return turns === 'nothing' && tester === 'none';
}

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
    found: (answers) => {
      const { load, celsius } = answers;
      if (isUnloaded(answers)) return null;
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

/** A meter shows hundredths; of degrees typed in Fahrenheit no more is meant. */
function inHundredths(answer: unknown): unknown {
  return typeof answer === 'number' ? Math.round(answer * 100) / 100 : answer;
}

/** Of some answers those to questions that were asked, as they are kept: an answer to one that no longer comes up says nothing. */
export function answersAsked(answers: SearchAnswers): SearchAnswers {
  const { asked } = searchNoStart(answers);
  const kept = new Set<string>(
    asked.flatMap((question) => (question === 'load' ? LOAD_ANSWERS : [question])),
  );
  return Object.fromEntries(
    Object.entries(answers).flatMap(([name, answer]) =>
      answer !== undefined && kept.has(name) ? [[name, inHundredths(answer)]] : [],
    ),
  );
}
