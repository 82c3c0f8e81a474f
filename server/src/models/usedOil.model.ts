import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Day, Id, Moment, OptionalMoment, OptionalRef, Ref, Text } from '../database/columns.js';

/** A line of the used-oil book. */
@Table({ tableName: 'used_oil' })
export class UsedOilRow extends Model<InferAttributes<UsedOilRow>, InferCreationAttributes<UsedOilRow>> {
  @Id declare id: string;
  @Day declare happenedOn: string;
  /** litres that went in; negative for a collection */
  @Column({ type: DataType.DECIMAL(8, 2), allowNull: false }) declare litres: number;
  @OptionalRef declare jobId: string | null;
  @Text declare note: string;
  @Moment declare enteredAt: Date;
  @Ref declare enteredById: string;
  @OptionalMoment declare voidedAt: Date | null;
}
