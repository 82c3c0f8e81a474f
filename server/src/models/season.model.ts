import type { InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Day, Id, Text, Whole } from '../database/columns.js';

/** A season of the site, such as mowing. */
@Table({ tableName: 'seasons' })
export class SeasonRow extends Model<InferAttributes<SeasonRow>, InferCreationAttributes<SeasonRow>> {
  @Id declare id: string;
  @Text declare name: string;
  @Whole declare place: number;
  @HasMany(() => SeasonYearRow) declare years?: NonAttribute<SeasonYearRow[]>;
}

/** Its days in one year. */
@Table({ tableName: 'season_years' })
export class SeasonYearRow extends Model<
  InferAttributes<SeasonYearRow>,
  InferCreationAttributes<SeasonYearRow>
> {
  @ForeignKey(() => SeasonRow)
  @Column({ type: DataType.CHAR(36), primaryKey: true })
  declare seasonId: string;
  @Column({ type: DataType.INTEGER, primaryKey: true }) declare year: number;
  @Day declare firstDay: string;
  @Day declare lastDay: string;
}
