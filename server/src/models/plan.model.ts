import type { InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { Column, DataType, ForeignKey, HasMany, Model, Table } from 'sequelize-typescript';
import { Day, Flag, Id, Moment, OptionalRef, Ref, Text, Whole } from '../database/columns.js';

/** When the workshop is open on a day of the week: 0 for Monday. */
@Table({ tableName: 'workshop_weekdays' })
export class WorkshopWeekday extends Model<
  InferAttributes<WorkshopWeekday>,
  InferCreationAttributes<WorkshopWeekday>
> {
  @Column({ type: DataType.TINYINT, primaryKey: true }) declare weekday: number;
  /** of all hands together */
  @Whole declare minutes: number;
  @Whole declare bays: number;
}

/** A day on which it is otherwise. */
@Table({ tableName: 'workshop_exceptions' })
export class WorkshopDayException extends Model<
  InferAttributes<WorkshopDayException>,
  InferCreationAttributes<WorkshopDayException>
> {
  @Column({ type: DataType.DATEONLY, primaryKey: true }) declare onDay: string;
  @Whole declare minutes: number;
  @Whole declare bays: number;
  @Text declare note: string;
}

/** How long somebody works in the workshop on a weekday. */
@Table({ tableName: 'workshop_hands' })
export class WorkshopHand extends Model<
  InferAttributes<WorkshopHand>,
  InferCreationAttributes<WorkshopHand>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare personId: string;
  @Column({ type: DataType.TINYINT, primaryKey: true }) declare weekday: number;
  @Whole declare minutes: number;
}

/** Days on which somebody is away. */
@Table({ tableName: 'workshop_absences' })
export class WorkshopAbsence extends Model<
  InferAttributes<WorkshopAbsence>,
  InferCreationAttributes<WorkshopAbsence>
> {
  @Id declare id: string;
  @Ref declare personId: string;
  @Day declare fromDay: string;
  @Day declare untilDay: string;
  @Text declare note: string;
}

/** Days on which a machine must not be missing. */
@Table({ tableName: 'needed_days' })
export class NeededDaysRow extends Model<
  InferAttributes<NeededDaysRow>,
  InferCreationAttributes<NeededDaysRow>
> {
  @Id declare id: string;
  /** null: none of them may */
  @OptionalRef declare machineId: string | null;
  @Day declare fromDay: string;
  @Day declare untilDay: string;
  @Text declare note: string;
}

/** A visit that the crew was told of. */
@Table({ tableName: 'visit_cards' })
export class VisitCard extends Model<InferAttributes<VisitCard>, InferCreationAttributes<VisitCard>> {
  @Id declare id: string;
  @Ref declare machineId: string;
  @Day declare onDay: string;
  @Flag declare isLocked: boolean;
  @Whole declare minutes: number;
  @HasMany(() => VisitCardItem) declare items?: NonAttribute<VisitCardItem[]>;
  @HasMany(() => VisitCardDefect) declare defects?: NonAttribute<VisitCardDefect[]>;
}

@Table({ tableName: 'visit_card_items' })
export class VisitCardItem extends Model<
  InferAttributes<VisitCardItem>,
  InferCreationAttributes<VisitCardItem>
> {
  @ForeignKey(() => VisitCard) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare cardId: string;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare itemId: string;
}

@Table({ tableName: 'visit_card_defects' })
export class VisitCardDefect extends Model<
  InferAttributes<VisitCardDefect>,
  InferCreationAttributes<VisitCardDefect>
> {
  @ForeignKey(() => VisitCard) @Column({ type: DataType.CHAR(36), primaryKey: true }) declare cardId: string;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare defectId: string;
}

/** What the server proposed for a week, by itself. */
@Table({ tableName: 'plan_proposals' })
export class PlanProposalRow extends Model<
  InferAttributes<PlanProposalRow>,
  InferCreationAttributes<PlanProposalRow>
> {
  /** civil date of its Monday */
  @Column({ type: DataType.DATEONLY, primaryKey: true }) declare week: string;
  @Moment declare madeAt: Date;
  @Whole declare planVersion: number;
  @Column({ type: DataType.DOUBLE, allowNull: false }) declare cost: number;
  @Column({ type: DataType.DOUBLE, allowNull: false }) declare bound: number;
  /** cards as they are published; checked where it is read */
  @Column({ type: DataType.JSON, allowNull: false }) declare cards: unknown;
}
