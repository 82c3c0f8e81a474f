import { Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import {
  Hours,
  Id,
  Moment,
  OptionalMoment,
  OptionalRef,
  OptionalText,
  Ref,
  Text,
} from '../database/columns.js';
import { Machine } from '../machine/machine.model.js';

/** A stretch of time with one meter: life = offset + shown. */
@Table({ tableName: 'meter_segments' })
export class MeterSegmentRow extends Model {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  @Moment declare startsAt: Date;
  @Column({ type: DataType.DECIMAL(9, 2), allowNull: false }) declare hoursOffset: number;
  /** how it began */
  @Text declare kind: 'first' | 'replaced' | 'rolledOver';
  @Text declare reason: string;
}

export type ReadingSource = 'entry' | 'round' | 'job';

@Table({ tableName: 'readings' })
export class ReadingRow extends Model {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  @Moment declare readAt: Date;
  @Hours declare shown: number;
  @Text declare source: ReadingSource;
  @OptionalRef declare enteredById: string | null;
  @OptionalMoment declare voidedAt: Date | null;
  @OptionalRef declare voidedById: string | null;
  @OptionalText declare voidReason: string | null;
}
