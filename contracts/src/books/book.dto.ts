import type { MachineClass } from '../machine/machineClass.js';

export class BookTriggerDto {
  kind!: 'everyHours' | 'everyCalendar';
  /** the interval: hours, days or months */
  every!: number;
  unit!: 'hour' | 'day' | 'month';
}

export class BookItemDto {
  id!: string;
  name!: string;
  minutes!: number;
  triggers!: BookTriggerDto[];
}

/** A maker's maintenance chart. */
export class BookDto {
  id!: string;
  name!: string;
  machineClass!: MachineClass;
  items!: BookItemDto[];
}
