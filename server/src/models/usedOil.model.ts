import type { Waste } from '@yugator/core';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Day, Id, Moment, OptionalMoment, OptionalRef, Ref, Text } from '../database/columns.js';

/** A line of the book of used oil and other waste. */
@Table({ tableName: 'used_oil' })
export class UsedOilRow extends Model<InferAttributes<UsedOilRow>, InferCreationAttributes<UsedOilRow>> {
  @Id declare id: string;
  @Day declare happenedOn: string;
  /** litres that went in; negative for a collection */
  @Column({ type: DataType.DECIMAL(8, 2), allowNull: false }) declare litres: number;
  @OptionalRef declare jobId: string | null;
  @Text declare note: string;
  /** into which container */
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: 'oil' })
  declare waste: CreationOptional<Waste>;
  /** the collector's number; '' where none was given */
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: '' })
  declare receipt: CreationOptional<string>;
  /** put right to a level that was found: nothing was drained */
  @Column({ type: DataType.BOOLEAN, allowNull: false, defaultValue: false })
  declare isLevel: CreationOptional<boolean>;
  @Moment declare enteredAt: Date;
  @Ref declare enteredById: string;
  @OptionalMoment declare voidedAt: Date | null;
}
