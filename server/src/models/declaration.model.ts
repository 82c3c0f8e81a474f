import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Model, Table } from 'sequelize-typescript';
import { Day, Hours, Id, Moment, Ref, Text } from '../database/columns.js';

/** When an item was last done, as the crew lead says from an older record. */
@Table({ tableName: 'declarations' })
export class Declaration extends Model<InferAttributes<Declaration>, InferCreationAttributes<Declaration>> {
  @Id declare id: string;
  @Ref declare machineId: string;
  @Ref declare itemId: string;
  @Day declare doneOn: string;
  @Hours declare life: number;
  @Text declare note: string;
  @Moment declare declaredAt: Date;
  @Ref declare declaredById: string;
}
