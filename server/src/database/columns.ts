import { Column, DataType } from 'sequelize-typescript';

/** A primary key: a UUID that the application makes, so that no row needs a counter of the database. */
export const Id = Column({ type: DataType.CHAR(36), primaryKey: true });
/** A reference to another row. */
export const Ref = Column({ type: DataType.CHAR(36), allowNull: false });
/** A reference that may be absent. */
export const OptionalRef = Column(DataType.CHAR(36));
/** Hours in hundredths. */
export const Hours = Column({ type: DataType.DECIMAL(9, 2), allowNull: false });
export const OptionalHours = Column(DataType.DECIMAL(9, 2));
/** Pieces or litres in thousandths. */
export const Quantity = Column({ type: DataType.DECIMAL(12, 3), allowNull: false });
/** What a vessel holds, in hundredths of a litre. */
export const Litres = Column({ type: DataType.DECIMAL(8, 2), allowNull: false });
/** An instant in UTC, to the millisecond. */
export const Moment = Column({ type: DataType.DATE(3), allowNull: false });
export const OptionalMoment = Column(DataType.DATE(3));
/** A civil date, `YYYY-MM-DD`. */
export const Day = Column({ type: DataType.DATEONLY, allowNull: false });
export const OptionalDay = Column(DataType.DATEONLY);
export const Text = Column({ type: DataType.STRING, allowNull: false });
export const OptionalText = Column(DataType.STRING);
export const Whole = Column({ type: DataType.INTEGER, allowNull: false });
export const OptionalWhole = Column(DataType.INTEGER);
export const Flag = Column({ type: DataType.BOOLEAN, allowNull: false });
/** A value that is stored whole, as JSON. */
export const Json = Column({ type: DataType.JSON, allowNull: false });
export const OptionalJson = Column(DataType.JSON);

/** What stands in a JSON column, whether the driver has read it already or not. */
export function jsonValue(value: unknown): unknown {
  return typeof value === 'string' ? JSON.parse(value) : value;
}
