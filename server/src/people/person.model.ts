import type { Role } from '@yugator/contracts';
import { Model, Table } from 'sequelize-typescript';
import { Flag, Id, Text, Whole } from '../database/columns.js';

@Table({ tableName: 'people' })
export class Person extends Model {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare role: Role;
  @Text declare passwordHash: string;
  @Flag declare active: boolean;
  @Whole declare version: number;
}
