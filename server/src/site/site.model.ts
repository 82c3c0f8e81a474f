import { Model, Table } from 'sequelize-typescript';
import { Flag, Id, Text } from '../database/columns.js';

/** The one site that a Yugator keeps. */
@Table({ tableName: 'sites' })
export class Site extends Model {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare timeZone: string;
  @Text declare currency: string;
  @Flag declare demonstration: boolean;
}
