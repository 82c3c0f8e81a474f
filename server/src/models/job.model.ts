import type { JobState, Outcome, RecordKind, Severity } from '@yugator/contracts';
import type { Component, MeterName } from '@yugator/core';
import type { CreationOptional, InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Person } from './person.model.js';
import { Item } from './book.model.js';
import {
  Flag,
  Id,
  Moment,
  OptionalDay,
  OptionalHours,
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
import { Machine } from './machine.model.js';
import { Movement } from './shelf.model.js';

/** One visit of one machine; once signed off, the record of it. */
@Table({ tableName: 'jobs' })
export class Job extends Model<InferAttributes<Job>, InferCreationAttributes<Job>> {
  @Id declare id: string;
  @ForeignKey(() => Machine) @Ref declare machineId: string;
  /** a visit with its sheet, or a walk round the machine */
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: 'visit' })
  declare kind: CreationOptional<RecordKind>;
  @Text declare state: JobState;
  @Moment declare openedAt: Date;
  @Ref declare openedById: string;
  @Whole declare version: number;
  @OptionalDay declare doneOn: string | null;
  @OptionalHours declare life: number | null;
  @OptionalHours declare shown: number | null;
  @OptionalRef declare doneById: string | null;
  @OptionalWhole declare minutes: number | null;
  /** an hour's work when it was signed off, in minor units; null where it was not reckoned */
  @OptionalWhole declare labourRateMinor: number | null;
  @Text declare note: string;
  /** why a fluid was used that does not suit the machine; '' where all suited */
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: '' })
  declare fluidReason: CreationOptional<string>;
  /** of a walk-round: what was looked at and put right; null of all else */
  @OptionalJson declare walk: unknown;
  /** what it waits for; null while it is worked on */
  @OptionalText declare pausedReason: string | null;
  @OptionalRef declare readingId: string | null;
  @OptionalMoment declare signedOffAt: Date | null;
  @OptionalRef declare signedOffById: string | null;
  @OptionalMoment declare voidedAt: Date | null;
  @OptionalRef declare voidedById: string | null;
  @OptionalText declare voidReason: string | null;
  /** what the machine and the people were called when it was signed or voided */
  @OptionalText declare machineTag: string | null;
  @OptionalText declare machineName: string | null;
  @OptionalText declare doneByName: string | null;
  @OptionalText declare signedOffByName: string | null;
  @OptionalText declare voidedByName: string | null;
  @BelongsTo(() => Machine) declare machine?: NonAttribute<Machine>;
  @HasMany(() => JobItem) declare items?: NonAttribute<JobItem[]>;
  @HasMany(() => JobDefect) declare mended?: NonAttribute<JobDefect[]>;
  @HasMany(() => TopUpRow) declare topUps?: NonAttribute<TopUpRow[]>;
  @HasMany(() => Movement, { foreignKey: 'jobId' }) declare movements?: NonAttribute<Movement[]>;
}

@Table({ tableName: 'job_items' })
export class JobItem extends Model<InferAttributes<JobItem>, InferCreationAttributes<JobItem>> {
  @ForeignKey(() => Job) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare jobId: string;
  @ForeignKey(() => Item) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare itemId: string;
  /** null while nothing is said */
  @OptionalText declare outcome: Outcome | null;
  @OptionalHours declare untilLife: number | null;
  /** the meter of those hours; null for the engine's */
  @OptionalText declare untilMeter: MeterName | null;
  @OptionalDay declare untilOn: string | null;
  /** it came out clean, and the next one is left out: the limits above say until when, once it is signed off */
  @Column({ type: DataType.BOOLEAN, allowNull: false, defaultValue: false })
  declare leavesOutNext: CreationOptional<boolean>;
  @OptionalText declare severity: Severity | null;
  /** what was measured and seen of it, kept at sign-off; null where nothing was */
  @OptionalJson declare findings: unknown;
  @Column({ type: DataType.STRING, allowNull: false, defaultValue: '' })
  declare note: CreationOptional<string>;
  /** what it was called when the job was signed off */
  @OptionalText declare itemName: string | null;
  @Whole declare version: number;
  @BelongsTo(() => Item) declare item?: NonAttribute<Item>;
  @BelongsTo(() => Job) declare job?: NonAttribute<Job>;
}

/** A defect that a job mended, in its words. */
@Table({ tableName: 'job_defects' })
export class JobDefect extends Model<InferAttributes<JobDefect>, InferCreationAttributes<JobDefect>> {
  @ForeignKey(() => Job) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare jobId: string;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare defectId: string;
  @Text declare words: string;
}

/** A step of a job that somebody touched. */
@Table({ tableName: 'job_steps' })
export class JobStep extends Model<InferAttributes<JobStep>, InferCreationAttributes<JobStep>> {
  @ForeignKey(() => Job) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare jobId: string;
  @Column({ type: DataType.STRING, primaryKey: true }) declare stepKey: string;
  @Flag declare isDone: boolean;
  @Flag declare isAcknowledged: boolean;
  /** when what passes by itself began */
  @OptionalMoment declare startedAt: Date | null;
  /** what it measured or saw, as `contracts` has it */
  @OptionalJson declare found: unknown;
  /** when its tick was typed; null for one from before that was kept */
  @OptionalMoment declare tickedAt: Date | null;
  /** what was measured by people who had not seen each other's, the one that stands first; null where one alone measured */
  @OptionalJson declare measured: unknown;
  @Moment declare changedAt: Date;
  @ForeignKey(() => Person) @Ref declare changedById: string;
  @Whole declare version: number;
  @BelongsTo(() => Person) declare changedBy?: NonAttribute<Person>;
}

/** What somebody saw in a job: a JPEG with a line beneath. */
@Table({ tableName: 'job_photos' })
export class JobPhoto extends Model<InferAttributes<JobPhoto>, InferCreationAttributes<JobPhoto>> {
  @Id declare id: string;
  @ForeignKey(() => Job) @Ref declare jobId: string;
  @Column({ type: DataType.BLOB('medium'), allowNull: false }) declare bytes: Buffer;
  @Text declare caption: string;
  @Moment declare takenAt: Date;
  @Ref declare takenById: string;
}

/** Some of a fluid that was filled up, with the record of it. */
@Table({ tableName: 'top_ups' })
export class TopUpRow extends Model<InferAttributes<TopUpRow>, InferCreationAttributes<TopUpRow>> {
  @ForeignKey(() => Job) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare jobId: string;
  @Column({ type: DataType.STRING, primaryKey: true }) declare component: Component;
  @Ref declare machineId: string;
  /** litres */
  @Quantity declare litres: number;
  @Text declare grade: string;
  /** why it was another than the card's; '' where it was the card's */
  @Text declare reason: string;
  @OptionalRef declare articleId: string | null;
  @BelongsTo(() => Job) declare job?: NonAttribute<Job>;
}
