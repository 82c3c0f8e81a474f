import type { MachineRefDto, WaitingLineDto } from '@yugator/contracts';

/** A machine whose work may be done now, with its life hours at the last reading. */
export type DoneNowMachine = MachineRefDto & { readonly life: number };
export type DoneNowLine = Pick<WaitingLineDto, 'itemId' | 'itemName'>;
