import type { Role } from '@yugator/contracts';
import type { UnitSystem } from '@yugator/core';
import type { InferAttributes, InferCreationAttributes } from 'sequelize';
import { Model, Table } from 'sequelize-typescript';
import { Flag, Id, OptionalText, Text, Whole } from '../database/columns.js';

@Table({ tableName: 'people' })
export class Person extends Model<InferAttributes<Person>, InferCreationAttributes<Person>> {
  @Id declare id: string;
  @Text declare name: string;
  @Text declare role: Role;
  @Text declare passwordHash: string;
  /** of four digits, for the devices of the shed; null for whoever chose none */
  @OptionalText declare shedCodeHash: string | null;
  @Flag declare active: boolean;
  /** how this person likes figures; null for as the site has them */
  @OptionalText declare unitSystem: UnitSystem | null;
  @Whole declare version: number;
}
