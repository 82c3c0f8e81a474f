import type { Fuel, MachineClass } from '@yugator/contracts';
import { Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Book } from '../books/book.model.js';
import { Day, Flag, Hours, Id, Text, Whole } from '../database/columns.js';

@Table({ tableName: 'machines' })
export class Machine extends Model {
  @Id declare id: string;
  @Text declare tag: string;
  @Text declare name: string;
  @Text declare machineClass: MachineClass;
  @Text declare make: string;
  @Text declare model: string;
  @Text declare fuel: Fuel;
  @Text declare shed: string;
  @Whole declare walkOrder: number;
  @Day declare inServiceOn: string;
  @Hours declare inServiceHours: number;
  @Flag declare cameNew: boolean;
  @Whole declare version: number;
  @HasMany(() => MachineBook) declare books?: MachineBook[];
}

/** A book that a machine follows. */
@Table({ tableName: 'machine_books' })
export class MachineBook extends Model {
  @ForeignKey(() => Machine) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @ForeignKey(() => Book) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare bookId: string;
}
