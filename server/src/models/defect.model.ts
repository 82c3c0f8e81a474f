import type { Severity } from '@yugator/contracts';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import { Item } from './book.model.js';
import {
  Day,
  Id,
  Moment,
  OptionalJson,
  OptionalMoment,
  OptionalRef,
  OptionalText,
  OptionalWhole,
  Ref,
  Text,
} from '../database/columns.js';
import { Machine } from './machine.model.js';

/** Something that is wrong with a machine, until a job mends it. */
@Table({ tableName: 'defects' })
export class Defect extends Model<InferAttributes<Defect>, InferCreationAttributes<Defect>> {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  @ForeignKey(() => Item) @OptionalRef declare itemId: string | null;
  @OptionalRef declare foundInJobId: string | null;
  @Day declare foundOn: string;
  @Ref declare reportedById: string;
  @Text declare words: string;
  @Text declare severity: Severity;
  /** searches why it does not start, earliest first; null where nobody searched */
  @OptionalJson declare searches: unknown;
  /** of hands that mending it takes; null where nobody said */
  @OptionalWhole declare minutes: CreationOptional<number | null>;
  @OptionalRef declare closedByJobId: string | null;
  @OptionalMoment declare voidedAt: Date | null;
  /** who took it back, where that was said of it alone */
  @OptionalRef declare voidedById: CreationOptional<string | null>;
  @OptionalText declare voidReason: CreationOptional<string | null>;
  @BelongsTo(() => Machine) declare machine?: NonAttribute<Machine>;
  @BelongsTo(() => Item) declare item?: NonAttribute<Item>;
}

/** Defects that are neither mended nor taken back. */
export const OPEN_DEFECTS = { closedByJobId: null, voidedAt: null } as const;

/** What a defect looks like: a JPEG. */
@Table({ tableName: 'defect_photos' })
export class DefectPhoto extends Model<InferAttributes<DefectPhoto>, InferCreationAttributes<DefectPhoto>> {
  @Id declare id: string;
  @ForeignKey(() => Defect) @Ref declare defectId: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
  @Moment declare takenAt: Date;
  @Ref declare takenById: string;
}
