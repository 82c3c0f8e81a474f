/**
 * Cold-cranking limits of the winter grades, °C: the temperature down to which SAE J300 measures cranking viscosity.
 * Source: SAE J300, cold-cranking temperatures.
 */
export const COLD_CRANKING_CELSIUS: Readonly<Record<string, number>> = {
  '0W': -35,
  '5W': -30,
  '10W': -25,
  '15W': -20,
  '20W': -15,
  '25W': -10,
};

/** A grade that a machine's book approves, with the temperatures it is approved for. */
export interface ApprovedGrade {
  readonly grade: string;
  readonly category: string;
  /** °C; null where there is no bound */
  readonly fromCelsius: number | null;
  readonly toCelsius: number | null;
}

export interface GradeAdvice {
  readonly grade: string;
  readonly category: string;
  /** who says so: the machine's own book, or the published cold-cranking limit of the grade */
  readonly basis: 'book' | 'coldCranking';
  readonly suits: boolean;
  /** °C from which and up to which it may be used; null where there is no bound */
  readonly fromCelsius: number | null;
  readonly toCelsius: number | null;
}

/** The lowest temperature, °C, at which an engine still cranks on a grade such as 10W-30; null for a grade without a winter figure. */
export function coldCrankingLimit(grade: string): number | null {
  const winter = /^\s*(?:SAE\s*)?(\d+W)/i.exec(grade)?.[1]?.toUpperCase();
  return winter === undefined ? null : (COLD_CRANKING_CELSIUS[winter] ?? null);
}

/**
 * Which grades suit the expected temperatures, from `low` to `high` °C. What the machine's book approves decides; only where it
 * approves none, the common grades are judged by their cold-cranking limit. Those that suit come first.
 */
export function gradesFor(approved: readonly ApprovedGrade[], low: number, high: number): GradeAdvice[] {
  const judged = approved.length
    ? approved.map(({ grade, category, fromCelsius, toCelsius }) => ({
        grade,
        category,
        fromCelsius,
        toCelsius,
        basis: 'book' as const,
        suits: (fromCelsius === null || low >= fromCelsius) && (toCelsius === null || high <= toCelsius),
      }))
    : Object.entries(COLD_CRANKING_CELSIUS).map(([winter, limit]) => ({
        grade: winter,
        category: '',
        fromCelsius: limit,
        toCelsius: null,
        basis: 'coldCranking' as const,
        suits: low >= limit,
      }));
  return judged.sort((a, b) => Number(b.suits) - Number(a.suits));
}
