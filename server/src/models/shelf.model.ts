import type { ArticleKind, ArticleUnit } from '@yugator/contracts';
import type { Component, FitStanding, MovementKind } from '@yugator/core';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import {
  Id,
  Moment,
  OptionalJson,
  OptionalMoment,
  OptionalRef,
  OptionalText,
  OptionalWhole,
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
  @OptionalText declare number: CreationOptional<string | null>;
  @OptionalText declare barcode: CreationOptional<string | null>;
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: '' })
  declare place: CreationOptional<string>;
  @OptionalText declare component: CreationOptional<Component | null>;
  /** makers' numbers, and what stands on its label or was measured: see `articleTraits.ts` */
  @OptionalJson declare traits: unknown;
  /** since when it is no longer bought */
  @OptionalMoment declare retiredAt: CreationOptional<Date | null>;
}

/** What an article looks like. */
@Table({ tableName: 'article_photos' })
export class ArticlePhoto extends Model<
  InferAttributes<ArticlePhoto>,
  InferCreationAttributes<ArticlePhoto>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare articleId: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
  /** changes with the photo, so that a browser may keep it */
  @Ref declare revision: string;
}

/** An article that a machine takes for a component. */
@Table({ tableName: 'fits' })
export class FitRow extends Model<InferAttributes<FitRow>, InferCreationAttributes<FitRow>> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.STRING, primaryKey: true }) declare component: Component;
  @ForeignKey(() => Article) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare articleId: string;
  /** null: as much as the card says of a fluid, one of anything else */
  @Column(DataType.DECIMAL(12, 3)) declare quantity: number | null;
  @Text declare standing: FitStanding;
  @Text declare reason: string;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
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

/** A change of stock. What came in is a lot: it says what is left of it. */
@Table({ tableName: 'movements' })
export class Movement extends Model<InferAttributes<Movement>, InferCreationAttributes<Movement>> {
  @Id declare id: string;
  @ForeignKey(() => Article) @Ref declare articleId: string;
  @Text declare kind: MovementKind;
  @Quantity declare quantity: number;
  /** what the worth of the shelf changed by: out, below 0 */
  @Whole declare valueMinor: number;
  /** of a lot that counts: what is left of it, and what that is worth */
  @Column(DataType.DECIMAL(12, 3)) declare leftQuantity: CreationOptional<number | null>;
  @OptionalWhole declare leftMinor: CreationOptional<number | null>;
  /** what one container of a lot holds; null of what came in loose */
  @Column(DataType.DECIMAL(12, 3)) declare container: CreationOptional<number | null>;
  /** in which it came or went; null where nobody said */
  @OptionalText declare shed: CreationOptional<string | null>;
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

/** What a movement that counts took out of a lot; of none, where more went out than was there. */
@Table({ tableName: 'takes' })
export class TakeRow extends Model<InferAttributes<TakeRow>, InferCreationAttributes<TakeRow>> {
  @ForeignKey(() => Movement)
  @Column({ type: DataType.CHAR(36), primaryKey: true })
  declare movementId: string;
  @Column({ type: DataType.SMALLINT, primaryKey: true }) declare n: number;
  @OptionalRef declare lotId: string | null;
  @Quantity declare quantity: number;
  /** as the record of the movement says */
  @Whole declare costMinor: number;
  /** what the lot lost by it */
  @Whole declare lotMinor: number;
  @BelongsTo(() => Movement) declare movement?: NonAttribute<Movement>;
}
