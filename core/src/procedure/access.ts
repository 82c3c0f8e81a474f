import type { CautionKey } from './caution.js';
import type { Phase } from './phase.js';

/** One side of an access: opening or closing it. */
interface AccessStep {
  readonly phase: Phase;
  readonly text: string;
  /** what a diesel wants in its place; null where that is the same */
  readonly ofDiesel: string | null;
  readonly handsOn: number;
  /** minutes that pass by themselves */
  readonly handsOff: number;
  readonly wait: WaitKind | null;
  readonly cautions: readonly CautionKey[];
  readonly tools: readonly string[];
}

/** What passes by itself while hands are free. */
export type WaitKind = 'warming' | 'cooling' | 'draining' | 'settling' | 'drying' | 'charging';

export interface AccessSpec {
  readonly words: string;
  readonly open: AccessStep;
  /** null where nothing is to be undone */
  readonly close: AccessStep | null;
}

/** One side of opening or closing something, by hands. */
export function accessAct(
  phase: Phase,
  text: string,
  handsOn: number,
  more: Partial<Omit<AccessStep, 'phase' | 'text' | 'handsOn'>> = {},
): AccessStep {
  return { phase, text, ofDiesel: null, handsOn, handsOff: 0, wait: null, cautions: [], tools: [], ...more };
}

/**
 * What several items need done before they can be reached, in the order in which it is opened; it is closed in reverse. Each
 * appears once in a sheet, however many items need it.
 */
export const ACCESS = {
  warm: {
    words: 'engine warm',
    open: accessAct(
      'warmUp',
      'Start the engine outside and let it run until the sump is warm to the hand.',
      1,
      {
        ofDiesel:
          'Outside, pre-heat until the lamp goes out, start the engine, and let it run until the sump is warm to the hand.',
        handsOff: 6,
        wait: 'warming',
        cautions: ['exhaust'],
      },
    ),
    close: null,
  },
  safe: {
    words: 'key out, brake on',
    open: accessAct(
      'makeSafe',
      'Park on level ground. Brake on, key out, wheels chocked, attachments down.',
      2,
      {
        cautions: ['machineMoves'],
        tools: ['wheel chocks'],
      },
    ),
    close: accessAct('closeUp', 'Take the chocks and rags out from under the machine.', 1),
  },
  cool: {
    words: 'engine cool',
    open: accessAct('makeSafe', 'Let the engine cool until you can hold a hand on the cylinder head.', 0, {
      handsOff: 20,
      wait: 'cooling',
      cautions: ['hotEngine'],
    }),
    close: null,
  },
  bedUp: {
    words: 'bed up and locked',
    open: accessAct('openUp', 'Raise the bed and set its mechanical lock.', 2, { cautions: ['raisedBed'] }),
    close: accessAct('closeUp', 'Take the lock out and lower the bed.', 2, { cautions: ['raisedBed'] }),
  },
  hoodOff: {
    words: 'hood off',
    open: accessAct('openUp', 'Open or take off the hood. Lay its fasteners out in order.', 2),
    close: accessAct('closeUp', 'Put the hood back with all of its fasteners.', 2),
  },
  batteryOut: {
    words: 'battery out',
    open: accessAct(
      'openUp',
      'Take the battery out: negative lead off first, then positive, then the clamp.',
      4,
      {
        cautions: ['batteryOrder'],
        tools: ['10 mm and 13 mm wrenches'],
      },
    ),
    close: accessAct('closeUp', 'Put the battery back: clamp, positive lead, negative lead last.', 4, {
      cautions: ['batteryOrder'],
      tools: ['10 mm and 13 mm wrenches'],
    }),
  },
  deckRaised: {
    words: 'deck raised and blocked',
    open: accessAct(
      'openUp',
      'Note the height setting. Raise the deck or the front of the machine, and set the stands.',
      5,
      {
        cautions: ['raisedDeck'],
        tools: ['jack and two stands'],
      },
    ),
    close: accessAct('closeUp', 'Take the stands away, lower the machine, and set the height as it was.', 4, {
      cautions: ['raisedDeck'],
    }),
  },
  wheelsOff: {
    words: 'wheels off',
    open: accessAct('openUp', 'Lift the axle onto stands and take the wheels off.', 10, {
      cautions: ['raisedDeck'],
      tools: ['jack and two stands', 'wheel brace'],
    }),
    close: accessAct('closeUp', 'Put the wheels back, nuts crosswise, and lower the machine.', 10, {
      cautions: ['raisedDeck'],
      tools: ['torque wrench'],
    }),
  },
} as const satisfies Record<string, AccessSpec>;

export type Access = keyof typeof ACCESS;
