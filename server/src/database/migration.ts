/**
 * One step of the schema. MariaDB commits each statement by itself, so every statement can be run again after an interruption.
 */
export interface Migration {
  /** sorts in order of time: `0001-people` */
  readonly name: string;
  readonly up: readonly string[];
  /** undoes `up`, in the reverse order */
  readonly down: readonly string[];
}
