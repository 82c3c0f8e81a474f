import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Text } from '../database/columns.js';

/** A key that this site's servers share and nobody else gets to see. */
@Table({ tableName: 'secrets' })
export class Secret extends Model<InferAttributes<Secret>, InferCreationAttributes<Secret>> {
  @Column({ type: DataType.STRING(40), primaryKey: true }) declare name: string;
  @Text declare value: string;
}
