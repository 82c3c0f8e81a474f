import type { AttachmentKind, Cooling, Fuel, MachineClass, MachineStatus } from '@yugator/contracts';
import type { InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Book } from './book.model.js';
import {
  Day,
  Flag,
  Hours,
  Id,
  Moment,
  OptionalDay,
  OptionalHours,
  OptionalJson,
  OptionalText,
  OptionalWhole,
  Ref,
  Text,
  Whole,
} from '../database/columns.js';
import { SeasonRow } from './season.model.js';

@Table({ tableName: 'machines' })
export class Machine extends Model<InferAttributes<Machine>, InferCreationAttributes<Machine>> {
  @Id declare id: string;
  @Text declare tag: string;
  @Text declare name: string;
  @Text declare machineClass: MachineClass;
  @Text declare make: string;
  @Text declare model: string;
  @Text declare serial: string;
  @OptionalWhole declare modelYear: number | null;
  @Text declare fuel: Fuel;
  @OptionalText declare cooling: Cooling | null;
  @OptionalWhole declare cylinders: number | null;
  /** kW */
  @Column(DataType.DECIMAL(12, 6)) declare enginePower: number | null;
  @OptionalDay declare warrantyUntil: string | null;
  @OptionalHours declare warrantyHours: number | null;
  @Text declare shed: string;
  @Whole declare walkOrder: number;
  @Day declare inServiceOn: string;
  @Hours declare inServiceHours: number;
  @Flag declare cameNew: boolean;
  @Text declare status: MachineStatus;
  @OptionalDay declare statusSince: string | null;
  /** the spec card as `contracts` has it; null while nothing stands on it */
  @OptionalJson declare spec: unknown;
  @Whole declare version: number;
  /** grows with every change of what its schedule follows from */
  @Whole declare factsRevision: number;
  @HasMany(() => MachineBook) declare books?: NonAttribute<MachineBook[]>;
}

/** A book that a machine follows. */
@Table({ tableName: 'machine_books' })
export class MachineBook extends Model<InferAttributes<MachineBook>, InferCreationAttributes<MachineBook>> {
  @ForeignKey(() => Machine) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @ForeignKey(() => Book) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare bookId: string;
}

/** A machine's part in a season. */
@Table({ tableName: 'machine_seasons' })
export class MachineSeason extends Model<
  InferAttributes<MachineSeason>,
  InferCreationAttributes<MachineSeason>
> {
  @ForeignKey(() => Machine) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @ForeignKey(() => SeasonRow)
  @Column({ type: DataType.CHAR(36), primaryKey: true })
  declare seasonId: string;
  @Column({ type: DataType.DECIMAL(6, 2), allowNull: false }) declare hoursPerWeek: number;
}

/** An attachment whose hours are a share of the engine's, or, with none, what its own meter says. */
@Table({ tableName: 'attachments' })
export class AttachmentRow extends Model<
  InferAttributes<AttachmentRow>,
  InferCreationAttributes<AttachmentRow>
> {
  @ForeignKey(() => Machine) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.STRING, primaryKey: true }) declare kind: AttachmentKind;
  @Text declare name: string;
  @Column(DataType.DECIMAL(5, 3)) declare share: number | null;
  @Hours declare hoursAtStart: number;
  @Hours declare engineAtStart: number;
}

/** When and why a machine was taken out of service, laid up, retired or put back. */
@Table({ tableName: 'status_changes' })
export class StatusChange extends Model<
  InferAttributes<StatusChange>,
  InferCreationAttributes<StatusChange>
> {
  @Id declare id: string;
  @Ref declare machineId: string;
  @Text declare status: MachineStatus;
  @Day declare since: string;
  @Text declare reason: string;
  @Moment declare changedAt: Date;
  @Ref declare changedById: string;
}

/** What a machine looks like: a JPEG. */
@Table({ tableName: 'machine_photos' })
export class MachinePhoto extends Model<
  InferAttributes<MachinePhoto>,
  InferCreationAttributes<MachinePhoto>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
  /** changes with the photo, so that a browser may keep it */
  @Ref declare revision: string;
}

/** What has to be opened on a machine, as somebody took it; by what the sheet calls it. */
@Table({ tableName: 'access_photos' })
export class AccessPhoto extends Model<InferAttributes<AccessPhoto>, InferCreationAttributes<AccessPhoto>> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.STRING, primaryKey: true }) declare access: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
  /** changes with the photo, so that a browser may keep it */
  @Ref declare revision: string;
}
