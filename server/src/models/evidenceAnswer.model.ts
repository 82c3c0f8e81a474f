import type { EvidenceAnswer } from '@yugator/contracts';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Column, DataType, Model, Table } from 'sequelize-typescript';
import { Day, Ref, Text } from '../database/columns.js';

/** What the crew lead last answered to a proposal to check an item more or less often. */
@Table({ tableName: 'evidence_answers' })
export class EvidenceAnswerRow extends Model<
  InferAttributes<EvidenceAnswerRow>,
  InferCreationAttributes<EvidenceAnswerRow>
> {
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare machineId: string;
  @Column({ type: DataType.CHAR(36), primaryKey: true }) declare itemId: string;
  @Text declare answer: EvidenceAnswer;
  @Day declare answeredOn: string;
  @Ref declare answeredById: string;
}
