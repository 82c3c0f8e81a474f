import type { OpenAPIObject } from '@nestjs/swagger';
import type { Random } from '../../demo/random.js';
import { pick } from './hostile.js';

type Schema = {
  readonly $ref?: string;
  readonly type?: string;
  readonly enum?: readonly unknown[];
  readonly allOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly required?: readonly string[];
  readonly items?: Schema;
  readonly minimum?: number;
  readonly maximum?: number;
  readonly nullable?: boolean;
};

/** What stands in for the ids, names and days that the schema cannot know. */
export interface Known {
  readonly ids: readonly string[];
  readonly days: readonly string[];
}

const WORDS = [
  'Oil',
  'Left blade',
  'T-1',
  'Mowing',
  'Engine oil and filter',
  'a short sentence',
  'North shed',
];
const CHOICES = [
  ...[
    'done',
    'kept',
    'deferred',
    'defect',
    'soon',
    'stop',
    'watch',
    'replace',
    'inspect',
    'zeroTurn',
    'gasoline',
  ],
  ...[
    'engine',
    'loader',
    'inService',
    'laidUp',
    'retired',
    'received',
    'counted',
    'in',
    'collected',
    'mechanic',
    'viewer',
  ],
  ...[
    'sinceDone',
    'metric',
    'us',
    'accepted',
    'piece',
    'kit',
    'spec',
    'books',
    'replaced',
    'front',
    'Europe/London',
  ],
];

/** A body that the schema describes, with values that the crew would send, as far as their names tell. */
export class FromSchema {
  constructor(
    private readonly document: OpenAPIObject,
    private readonly known: Known,
    private readonly random: Random,
  ) {}

  value(schema: Schema, name = '', depth = 0): unknown {
    const { $ref, allOf, enum: choices } = schema;
    if ($ref) return this.value(this.resolve($ref), name, depth);
    if (allOf?.[0]) return this.value(allOf[0], name, depth);
    if (choices) return pick(choices, this.random);
    if (schema.nullable && this.random.chance(0.3)) return null;
    switch (String(schema.type)) {
      case 'object':
        return this.object(schema, depth);
      case 'array':
        return this.list(schema, name, depth);
      case 'number':
      case 'integer':
        return this.figure(schema, name);
      case 'boolean':
        return this.random.chance(0.5);
      default:
        return this.text(name);
    }
  }

  private object({ properties = {}, required = [] }: Schema, depth: number): Record<string, unknown> {
    const fields = Object.entries(properties).filter(
      ([name]) => required.includes(name) || this.random.chance(0.5),
    );
    return Object.fromEntries(fields.map(([name, each]) => [name, this.value(each, name, depth + 1)]));
  }

  private list({ items = {} }: Schema, name: string, depth: number): unknown[] {
    if (name === 'triggers') return [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }];
    const length = depth > 6 ? 0 : Math.floor(this.random.between(0, 3));
    return Array.from({ length }, () => this.value(items, name.replace(/s$/, ''), depth + 1));
  }

  private figure({ minimum = 0, maximum = 100, type }: Schema, name: string): number {
    if (name === 'version') return Math.floor(this.random.between(1, 4));
    const value = this.random.between(minimum, Math.min(maximum, 1_000));
    return type === 'integer' || this.random.chance(0.6) ? Math.round(value) : Math.round(value * 10) / 10;
  }

  private text(name: string): string {
    if (/id$|Ids?$/i.test(name)) return pick(this.known.ids, this.random);
    if (/day$|on$|since|until|from$|to$/i.test(name)) return pick(this.known.days, this.random);
    if (/at$/i.test(name)) return '2027-05-13T10:00:00Z';
    return pick(this.random.chance(0.5) ? CHOICES : WORDS, this.random);
  }

  private resolve(ref: string): Schema {
    return (this.document.components?.schemas?.[ref.split('/').at(-1) ?? ''] ?? {}) as Schema;
  }
}
