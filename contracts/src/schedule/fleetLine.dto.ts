import type { Consequence, DueState, Trigger } from '@yugator/core';
import type { MachineClass } from '../machine/machineClass.js';
import { LimitDto } from './due.dto.js';

/** One item of one machine in the schedule of the whole fleet. */
export class FleetLineDto {
  machineId!: string;
  tag!: string;
  machineName!: string;
  machineClass!: MachineClass;
  shed!: string;
  itemId!: string;
  itemName!: string;
  bookName!: string | null;
  state!: DueState;
  /** what lateness costs */
  consequence!: Consequence;
  /** the deciding limit; null with no record */
  limit!: LimitDto | null;
  earlyOn!: string | null;
  expectedOn!: string | null;
  lateOn!: string | null;
  minutes!: number;
}

/** Why an item belongs to a milestone. */
export class MilestoneLineDto {
  itemId!: string;
  itemName!: string;
  bookName!: string | null;
  minutes!: number;
  reason!: 'onHours' | 'often' | 'byCalendar';
  /** the trigger in question, as the book has it */
  trigger!: Trigger;
}

/** Everything that a machine gets at so many hours of its engine. */
export class MilestoneDto {
  hours!: number;
  lines!: MilestoneLineDto[];
}
