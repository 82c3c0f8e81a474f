import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Moment, Text } from '../database/columns.js';

/** A write that was answered, kept so that its repetition gets the same answer. */
@Table({ tableName: 'idempotent_requests' })
export class IdempotentRequest extends Model<
  InferAttributes<IdempotentRequest>,
  InferCreationAttributes<IdempotentRequest>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare personId: string;
  @Column({ type: DataType.STRING(100), primaryKey: true }) declare idempotencyKey: string;
  @Text declare requestHash: string;
  /** JSON */
  @Column(DataType.TEXT('long')) declare answer: string | null;
  @Moment declare createdAt: Date;
}
