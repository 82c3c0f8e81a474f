import type { MachineClass } from '@yugator/contracts';
import { BelongsTo, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Id, OptionalHours, OptionalText, OptionalWhole, Ref, Text, Whole } from '../database/columns.js';

/** A maker's maintenance chart, used by many machines. */
@Table({ tableName: 'books' })
export class Book extends Model {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare machineClass: MachineClass;
  @HasMany(() => Item) declare items?: Item[];
}

/** A line of a book: an action on a component. */
@Table({ tableName: 'items' })
export class Item extends Model {
  @Id declare id: string;
  @ForeignKey(() => Book) @Ref declare bookId: string;
  @Text declare name: string;
  @Whole declare minutes: number;
  @Whole declare place: number;
  @BelongsTo(() => Book) declare book?: Book;
  @HasMany(() => ItemTrigger) declare triggers?: ItemTrigger[];
}

@Table({ tableName: 'item_triggers' })
export class ItemTrigger extends Model {
  @Id declare id: string;
  @ForeignKey(() => Item) @Ref declare itemId: string;
  @Text declare kind: 'everyHours' | 'everyCalendar';
  @OptionalHours declare everyHours: number | null;
  @OptionalWhole declare everyCount: number | null;
  @OptionalText declare everyUnit: 'day' | 'month' | null;
}
