/** One field at fault. */
export class FieldFaultDto {
  /** JSON pointer (RFC 6901) to the field in the request, as a fragment: `#/readings/2/shown` */
  pointer!: string;
  /** stable name of the fault, for programs */
  code!: string;
  /** the fault and the way out, in one sentence */
  detail!: string;
}

/** Problem details as RFC 9457 has them. */
export class ProblemDto {
  /** `about:blank`, or a name under `/problems/` */
  type!: string;
  title!: string;
  /** HTTP status */
  status!: number;
  detail!: string;
  errors?: FieldFaultDto[];
  /** with status 409: how the shared thing stands now */
  current?: object;
}
