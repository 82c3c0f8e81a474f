import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import {
  Day,
  Flag,
  Id,
  OptionalMoment,
  OptionalWhole,
  Quantity,
  Ref,
  Text,
  Whole,
} from '../database/columns.js';
import { Article } from './shelf.model.js';

/** Where things are bought. */
@Table({ tableName: 'suppliers' })
export class Supplier extends Model<InferAttributes<Supplier>, InferCreationAttributes<Supplier>> {
  @Id declare id: string;
  @Text declare name: string;
  @Whole declare leadDays: number;
  @Whole declare carriageMinor: number;
  @OptionalWhole declare freeFromMinor: number | null;
  @Text declare note: string;
  @OptionalMoment declare retiredAt: CreationOptional<Date | null>;
  @Column({ type: DataType.INTEGER, allowNull: false, defaultValue: 1 })
  declare version: CreationOptional<number>;
  @HasMany(() => OfferRow) declare offers?: NonAttribute<OfferRow[]>;
}

/** What a supplier sells an article in. */
@Table({ tableName: 'offers' })
export class OfferRow extends Model<InferAttributes<OfferRow>, InferCreationAttributes<OfferRow>> {
  @ForeignKey(() => Supplier)
  @Column({ type: DataType.CHAR(36), primaryKey: true })
  declare supplierId: string;
  @ForeignKey(() => Article) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare articleId: string;
  @Column({ type: DataType.DECIMAL(12, 3), primaryKey: true }) declare pack: number;
  @Text declare number: string;
  /** of one pack */
  @Whole declare priceMinor: number;
  @OptionalWhole declare leadDays: number | null;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
}

/** What was ordered. */
@Table({ tableName: 'orders' })
export class Order extends Model<InferAttributes<Order>, InferCreationAttributes<Order>> {
  @Id declare id: string;
  @ForeignKey(() => Supplier) @Ref declare supplierId: string;
  /** as it was called then */
  @Text declare supplierName: string;
  @Day declare orderedOn: string;
  @Day declare expectedOn: string;
  @Ref declare orderedById: string;
  @Whole declare carriageMinor: number;
  @Text declare note: string;
  @Flag declare isOpen: boolean;
  @Column({ type: DataType.INTEGER, allowNull: false, defaultValue: 1 })
  declare version: CreationOptional<number>;
  @HasMany(() => OrderLine) declare lines?: NonAttribute<OrderLine[]>;
}

/** So many packs of an article in an order. */
@Table({ tableName: 'order_lines' })
export class OrderLine extends Model<InferAttributes<OrderLine>, InferCreationAttributes<OrderLine>> {
  @ForeignKey(() => Order) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare orderId: string;
  @Column({ type: DataType.SMALLINT, primaryKey: true }) declare n: number;
  @ForeignKey(() => Article) @Ref declare articleId: string;
  @Text declare number: string;
  @Quantity declare pack: number;
  @Whole declare packs: number;
  @Whole declare priceMinor: number;
  @Whole declare arrived: number;
  @BelongsTo(() => Article) declare article?: NonAttribute<Article>;
  @BelongsTo(() => Order) declare order?: NonAttribute<Order>;
}
