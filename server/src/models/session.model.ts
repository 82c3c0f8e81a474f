import type { InferAttributes, InferCreationAttributes, NonAttribute } from 'sequelize';
import { BelongsTo, Column, DataType, ForeignKey, Model, Table } from 'sequelize-typescript';
import { Flag, Id, Moment, OptionalRef, Ref, Text } from '../database/columns.js';
import { Person } from './person.model.js';

/** Somebody signed in on a device. The token itself is only in the cookie. */
@Table({ tableName: 'sessions' })
export class Session extends Model<InferAttributes<Session>, InferCreationAttributes<Session>> {
  @Id declare id: string;
  @Column({ type: DataType.CHAR(64), allowNull: false }) declare tokenHash: string;
  @ForeignKey(() => Person) @Ref declare personId: string;
  /** the browser and system, as it says itself */
  @Text declare device: string;
  @Text declare address: string;
  /** the person's own device, which nobody else picks up */
  @Flag declare isOwnDevice: boolean;
  /** the device of the shed at which somebody went in by a code; null for a sign-in by password */
  @ForeignKey(() => ShedDevice) @OptionalRef declare shedDeviceId: string | null;
  @Moment declare createdAt: Date;
  @Moment declare lastSeenAt: Date;
  /** when it ends, if nothing is asked under it until then */
  @Moment declare expiresAt: Date;
  @BelongsTo(() => Person) declare person?: NonAttribute<Person>;
  @BelongsTo(() => ShedDevice) declare shedDevice?: NonAttribute<ShedDevice>;
}

/** A device that a shed shares: people go in there by their name and four digits. The token itself is only in its cookie. */
@Table({ tableName: 'shed_devices' })
export class ShedDevice extends Model<InferAttributes<ShedDevice>, InferCreationAttributes<ShedDevice>> {
  @Id declare id: string;
  @Column({ type: DataType.CHAR(64), allowNull: false }) declare tokenHash: string;
  @Text declare name: string;
  @ForeignKey(() => Person) @Ref declare madeById: string;
  @Moment declare madeAt: Date;
  @BelongsTo(() => Person) declare madeBy?: NonAttribute<Person>;
}
