import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import { Moment, Ref } from '../database/columns.js';
import { Person } from '../people/person.model.js';

/** Somebody signed in on a device. The token itself is only in the cookie. */
@Table({ tableName: 'sessions' })
export class Session extends Model {
  @Column({ type: DataType.CHAR(64), primaryKey: true }) declare tokenHash: string;
  @ForeignKey(() => Person) @Ref declare personId: string;
  @Moment declare createdAt: Date;
  @Moment declare expiresAt: Date;
  @BelongsTo(() => Person) declare person?: Person;
}
