import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Whole } from '../database/columns.js';

/** How many photos a person kept on a civil day. */
@Table({ tableName: 'photo_counts' })
export class PhotoCount extends Model<InferAttributes<PhotoCount>, InferCreationAttributes<PhotoCount>> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare personId: string;
  @Column({ type: DataType.DATEONLY, primaryKey: true }) declare takenOn: string;
  @Whole declare photos: number;
}
