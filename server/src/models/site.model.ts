import { STALE_AFTER_DAYS } from '@yugator/core';
import type { DateOrder, HoursGrid, UnitSystem } from '@yugator/core';
import type { CreationOptional, InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import {
  Flag,
  Id,
  Litres,
  OptionalJson,
  OptionalMoment,
  OptionalRef,
  OptionalWhole,
  Text,
  Whole,
} from '../database/columns.js';

/** The one site that a Yugator keeps. */
@Table({ tableName: 'sites' })
export class Site extends Model<InferAttributes<Site>, InferCreationAttributes<Site>> {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare timeZone: string;
  @Text declare currency: string;
  @Flag declare demonstration: boolean;
  @Text declare hoursGrid: HoursGrid;
  @Text declare unitSystem: UnitSystem;
  @Text declare dateOrder: DateOrder;
  @Whole declare staleAfterDays: number;
  /** days without use after which a session ends */
  @Whole declare sessionIdleDays: number;
  /** an hour's work in minor units of the currency; null where it is not reckoned */
  @OptionalWhole declare labourRateMinor: number | null;
  /** by rule; null while nothing was chosen */
  @OptionalJson declare houseRules: unknown;
  /** the crew's own figures, by key; null while none was chosen */
  @OptionalJson declare houseFigures: unknown;
  /** twelve months of temperatures; null while nobody said */
  @OptionalJson declare climate: unknown;
  @Litres declare panLitres: number;
  @Litres declare extractorLitres: number;
  @Litres declare usedOilLitres: number;
  /** what the containers of other waste hold; null while nobody said */
  @OptionalJson declare wasteLitres: unknown;
  @Whole declare version: number;
  /** grows with every change of a season */
  @Whole declare seasonsVersion: number;
  /** grows with every change of when the workshop is open */
  @Column({ type: DataType.INTEGER, allowNull: false, defaultValue: 1 })
  declare workshopDaysVersion: CreationOptional<number>;
  /** days before its season by which a machine is ready, and after its last in which it is laid up */
  @Column({ type: DataType.TINYINT, allowNull: false, defaultValue: 3 })
  declare readyDays: CreationOptional<number>;
  @Column({ type: DataType.TINYINT, allowNull: false, defaultValue: 21 })
  declare layUpDays: CreationOptional<number>;
  /** grows with every plan that is published */
  @Column({ type: DataType.INTEGER, allowNull: false, defaultValue: 1 })
  declare planVersion: CreationOptional<number>;
  /** what spoke against the plan when it was published: whoever published it knew that */
  @OptionalJson declare planKnown: unknown;
  @OptionalMoment declare planPublishedAt: CreationOptional<Date | null>;
  @OptionalRef declare planPublishedById: CreationOptional<string | null>;
}

/** How a new site is set until the crew lead says otherwise. */
export const SITE_DEFAULTS = {
  hoursGrid: 'sinceDone',
  unitSystem: 'metric',
  dateOrder: 'dayFirst',
  staleAfterDays: STALE_AFTER_DAYS,
  sessionIdleDays: 14,
  labourRateMinor: null,
  panLitres: 8,
  extractorLitres: 6,
  usedOilLitres: 60,
  version: 1,
  seasonsVersion: 1,
} as const;
