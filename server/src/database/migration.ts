import type { Sequelize } from 'sequelize-typescript';

/** A statement, or statements that depend on how the schema stands when their turn comes. */
export type Step = string | ((sequelize: Sequelize) => Promise<readonly string[]>);

/**
 * One step of the schema. MariaDB commits each statement by itself, so every statement can be run again after an interruption.
 */
export interface Migration {
  /** sorts in order of time: `0001-people` */
  readonly name: string;
  readonly up: readonly Step[];
  /** undoes `up`, in the reverse order */
  readonly down: readonly Step[];
}
