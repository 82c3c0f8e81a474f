import type { ArticleKind, ArticleUnit, MovementKind } from '@yugator/contracts';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import {
  Id,
  Moment,
  OptionalMoment,
  OptionalRef,
  OptionalText,
  Quantity,
  Ref,
  Text,
  Whole,
} from '../database/columns.js';

/** A kit, part or fluid. */
@Table({ tableName: 'articles' })
export class Article extends Model<InferAttributes<Article>, InferCreationAttributes<Article>> {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare kind: ArticleKind;
  @Text declare unit: ArticleUnit;
  @Quantity declare leastOnHand: number;
  @Whole declare priceMinor: number;
  @Column({ type: DataType.INTEGER, allowNull: false, defaultValue: 1 })
  declare version: CreationOptional<number>;
}

/** What a kit holds of an article. */
@Table({ tableName: 'kit_parts' })
export class KitPartRow extends Model<InferAttributes<KitPartRow>, InferCreationAttributes<KitPartRow>> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare kitId: string;
  @ForeignKey(() => Article) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare articleId: string;
  @Quantity declare quantity: number;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
}

/** What doing an item takes. */
@Table({ tableName: 'item_articles' })
export class ItemArticleRow extends Model<
  InferAttributes<ItemArticleRow>,
  InferCreationAttributes<ItemArticleRow>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare itemId: string;
  @ForeignKey(() => Article) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare articleId: string;
  @Quantity declare quantity: number;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
}

/** A change of stock, at the price of the day. */
@Table({ tableName: 'movements' })
export class Movement extends Model<InferAttributes<Movement>, InferCreationAttributes<Movement>> {
  @Id declare id: string;
  @ForeignKey(() => Article) @Ref declare articleId: string;
  @Text declare kind: MovementKind;
  @Quantity declare quantity: number;
  @Whole declare priceMinor: number;
  @Moment declare movedAt: Date;
  @OptionalRef declare movedById: string | null;
  @OptionalRef declare jobId: string | null;
  @Text declare note: string;
  /** what a job that is signed off drew, by the name and unit of then */
  @OptionalText declare articleName: string | null;
  @OptionalText declare articleUnit: ArticleUnit | null;
  @OptionalMoment declare voidedAt: Date | null;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
}
