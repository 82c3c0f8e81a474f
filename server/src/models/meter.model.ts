import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
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
import type { MeterName } from '@yugator/core';
import { Machine } from './machine.model.js';

/** A stretch of time with one meter: life = offset + shown. */
@Table({ tableName: 'meter_segments' })
export class MeterSegmentRow extends Model<
  InferAttributes<MeterSegmentRow>,
  InferCreationAttributes<MeterSegmentRow>
> {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: 'engine' })
  declare meter: CreationOptional<MeterName>;
  @Moment declare startsAt: Date;
  @Column({ type: DataType.DECIMAL(9, 2), allowNull: false }) declare hoursOffset: number;
  /** how it began */
  @Text declare kind: 'first' | 'replaced' | 'rolledOver';
  @Text declare reason: string;
}

export type ReadingSource = 'entry' | 'round' | 'job';

@Table({ tableName: 'readings' })
export class ReadingRow extends Model<InferAttributes<ReadingRow>, InferCreationAttributes<ReadingRow>> {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: 'engine' })
  declare meter: CreationOptional<MeterName>;
  @Moment declare readAt: Date;
  @Hours declare shown: number;
  @Text declare source: ReadingSource;
  @OptionalRef declare enteredById: string | null;
  @OptionalMoment declare voidedAt: Date | null;
  @OptionalRef declare voidedById: string | null;
  @OptionalText declare voidReason: string | null;
}

/** What a meter showed when it was read: a JPEG. */
@Table({ tableName: 'reading_photos' })
export class ReadingPhoto extends Model<
  InferAttributes<ReadingPhoto>,
  InferCreationAttributes<ReadingPhoto>
> {
  @ForeignKey(() => ReadingRow)
  @Column({ type: DataType.CHAR(36), primaryKey: true })
  declare readingId: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
}
