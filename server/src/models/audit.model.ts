import type { AuditAct } from '@yugator/contracts';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import {
  BeforeBulkDestroy,
  BeforeBulkUpdate,
  BeforeDestroy,
  BeforeUpdate,
  Model,
  Table,
} from 'sequelize-typescript';
import { Id, Moment, OptionalRef, Text } from '../database/columns.js';

function refuse(): never {
  throw new Error('What stands in the audit list stays as it is.');
}

/** Who did what, when and from where. Rows are added and, after two years, forgotten; never changed. */
@Table({ tableName: 'audit_entries' })
export class AuditEntry extends Model<InferAttributes<AuditEntry>, InferCreationAttributes<AuditEntry>> {
  @Id declare id: string;
  @Moment declare at: Date;
  @Text declare act: AuditAct;
  /** null where nobody was signed in */
  @OptionalRef declare personId: string | null;
  /** as the person was called then */
  @Text declare personName: string;
  @Text declare subject: string;
  @Text declare address: string;

  @BeforeUpdate static keep(): void {
    refuse();
  }
  @BeforeBulkUpdate static keepAll(): void {
    refuse();
  }
  @BeforeDestroy static keepRow(): void {
    refuse();
  }
  /** Only what is older than is kept goes, by {@link AuditTrail.forgetOld}. */
  @BeforeBulkDestroy static keepRows(options: { isForgetting?: boolean }): void {
    if (!options.isForgetting) refuse();
  }
}
