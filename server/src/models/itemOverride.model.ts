import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Flag, OptionalHours, OptionalJson, OptionalWhole, Text } from '../database/columns.js';

/** How one machine departs from a line of its books. */
@Table({ tableName: 'item_overrides' })
export class ItemOverrideRow extends Model<
  InferAttributes<ItemOverrideRow>,
  InferCreationAttributes<ItemOverrideRow>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare itemId: string;
  @Flag declare isOmitted: boolean;
  @OptionalJson declare triggers: unknown;
  @OptionalHours declare dutyFactor: number | null;
  @OptionalHours declare windowHours: number | null;
  @OptionalWhole declare windowDays: number | null;
  @Text declare reason: string;
}
