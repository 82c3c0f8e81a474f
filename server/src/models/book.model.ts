import type { MachineClass } from '@yugator/contracts';
import type { Action, Consequence, MeterName, WorkPlace } from '@yugator/core';
import type { InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import {
  Flag,
  Id,
  Json,
  OptionalHours,
  OptionalRef,
  OptionalText,
  OptionalWhole,
  Text,
  Whole,
} from '../database/columns.js';

/** A maker's maintenance chart, used by many machines. */
@Table({ tableName: 'books' })
export class Book extends Model<InferAttributes<Book>, InferCreationAttributes<Book>> {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare machineClass: MachineClass;
  /** the meter that the columns of its chart count */
  @Text declare meter: MeterName;
  @Whole declare version: number;
  @HasMany(() => Item) declare items?: NonAttribute<Item[]>;
}

/** A line of a book, or an item of a machine's own: an action on one or more components. */
@Table({ tableName: 'items' })
export class Item extends Model<InferAttributes<Item>, InferCreationAttributes<Item>> {
  @Id declare id: string;
  @ForeignKey(() => Book) @OptionalRef declare bookId: string | null;
  @OptionalRef declare machineId: string | null;
  @Text declare name: string;
  @Text declare action: Action;
  /** keys of components; none while a line of an older version waits for the crew lead */
  @Json declare components: unknown;
  /** what such a version called its component, in free words */
  @Text declare oldWords: string;
  /** triggers as `core` has them */
  @Json declare triggers: unknown;
  /** ids of the items that it renews */
  @Json declare renews: unknown;
  @Whole declare minutes: number;
  @Whole declare place: number;
  @Text declare reference: string;
  @Text declare note: string;
  @OptionalHours declare windowHours: number | null;
  @OptionalWhole declare windowDays: number | null;
  /** what lateness costs, where the crew lead says so */
  @OptionalText declare consequence: Consequence | null;
  /** on the walk-round or in a visit, where the crew lead says so */
  @OptionalText declare doneIn: WorkPlace | null;
  /** no longer in its book; records still name it */
  @Flag declare dropped: boolean;
  @BelongsTo(() => Book) declare book?: NonAttribute<Book>;
}
