import type { SpecCardDto } from '@yugator/contracts';
import { cardName, componentsOfOldLine, isComponent, oldWordsOf } from '@yugator/core';
import type { Component } from '@yugator/core';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { withComponents } from '@yugator/contracts';
import { jsonValue } from '../columns.js';
import { grouped } from '../grouped.js';
import type { Migration } from '../migration.js';

const MOST_IDS = 500;

interface OldItem {
  readonly id: string;
  readonly name: string;
  readonly action: string;
  readonly old_words: string;
}

function chunks<T>(list: readonly T[]): T[][] {
  return Array.from({ length: Math.ceil(list.length / MOST_IDS) }, (_, index) =>
    list.slice(index * MOST_IDS, (index + 1) * MOST_IDS),
  );
}

/** Sets a column of the rows with `ids`. */
function setAll(sequelize: Sequelize, column: string, value: string, ids: readonly string[]): string[] {
  return chunks(ids).map(
    (some) =>
      `UPDATE items SET ${column} = ${sequelize.escape(value)} WHERE id IN (${some.map((id) => sequelize.escape(id)).join(', ')})`,
  );
}

/** Takes over the words of which it is sure what they mean; the others stay for the crew lead. */
async function settleLines(sequelize: Sequelize): Promise<string[]> {
  const items = await sequelize.query<OldItem>(
    `SELECT id, name, action, old_words FROM items WHERE components = '[]'`,
    { type: QueryTypes.SELECT },
  );
  const known = items.flatMap(({ id, name, action, old_words: component }) => {
    const components = componentsOfOldLine({ name, action, component });
    return components ? [{ id, text: JSON.stringify(components) }] : [];
  });
  return [...grouped(known, ({ text }) => text)].flatMap(([text, rows]) =>
    setAll(
      sequelize,
      'components',
      text,
      rows.map(({ id }) => id),
    ),
  );
}

/** Says in words what lines are done to that never had any. */
async function wordLines(sequelize: Sequelize): Promise<string[]> {
  const items = await sequelize.query<{ id: string; components: unknown }>(
    `SELECT id, components FROM items WHERE old_words = ''`,
    { type: QueryTypes.SELECT },
  );
  const worded = items.map(({ id, components }) => {
    const list = jsonValue(components);
    return { id, words: oldWordsOf(Array.isArray(list) ? list.filter(isComponent) : []) };
  });
  return [...grouped(worded, ({ words }) => words)].flatMap(([words, rows]) =>
    setAll(
      sequelize,
      'old_words',
      words,
      rows.map(({ id }) => id),
    ),
  );
}

/** Writes every spec card anew. */
async function rewriteCards(sequelize: Sequelize, change: (card: SpecCardDto) => object): Promise<string[]> {
  const machines = await sequelize.query<{ id: string; spec: unknown }>(
    'SELECT id, spec FROM machines WHERE spec IS NOT NULL',
    { type: QueryTypes.SELECT },
  );
  return machines.flatMap(({ id, spec }) => {
    const card = jsonValue(spec) as SpecCardDto | null;
    return card
      ? [
          `UPDATE machines SET spec = ${sequelize.escape(JSON.stringify(change(card)))} WHERE id = ${sequelize.escape(id)}`,
        ]
      : [];
  });
}

interface Line {
  readonly component?: Component | null;
}

/** Lines of a card as older versions have them: without a component, and none without a name. */
function named<K extends string, L extends Line & { readonly [name in K]?: string }>(
  lines: readonly L[],
  key: K,
): object[] {
  return lines.map(({ component, ...line }, index) => ({
    ...line,
    [key]: cardName(lines[index]?.[key] ?? '', component) || '–',
  }));
}

function withoutComponents(card: SpecCardDto): object {
  return {
    ...card,
    fluids: named(card.fluids, 'fluid'),
    torques: named(card.torques, 'fastener'),
    plays: named(card.plays, 'name'),
    fittings: named(card.fittings, 'name'),
    filters: named(card.filters, 'name'),
    tools: named(card.tools, 'name'),
  };
}

/** Steps that are told by another key now; an open job goes on where it was. */
const STEP_KEYS: readonly (readonly [before: string, now: string])[] = [
  ['engineOil.filterOff', 'oilFilter.filterOff'],
  ['engineOil.filterOn', 'oilFilter.filterOn'],
  ['bolts.torque', 'wheelNuts.torque'],
  ['bolts.torque', 'loaderBolts.torque'],
  ['hoses.look', 'hydraulicHoses.look'],
  ['cooling.level', 'coolantLevel.level'],
  ['lubricate.hinge', 'bedHinges.hinge'],
  ['lubricate.brakes', 'brakeLinkage.brakes'],
  ...['drain', 'close', 'fill', 'read'].flatMap((step) => [
    [`transmissionOil.${step}`, `transaxleOil.${step}`] as const,
    [`frontAxleOil.${step}`, `frontDifferentialOil.${step}`] as const,
  ]),
];

const STEP_COLUMNS = 'is_done, is_acknowledged, started_at, found, changed_at, changed_by_id, version';

function copySteps(pairs: readonly (readonly [from: string, to: string])[]): string[] {
  return pairs.map(
    ([from, to]) =>
      `INSERT IGNORE INTO job_steps (job_id, step_key, ${STEP_COLUMNS})
       SELECT job_id, '${to}', ${STEP_COLUMNS} FROM job_steps
       WHERE step_key = '${from}' AND job_id IN (SELECT id FROM jobs WHERE state = 'open')`,
  );
}

/**
 * Components from a closed list in place of free words, in lines of books and on spec cards. Words that mean one thing only are taken
 * over; all others stay until the crew lead settles them.
 */
export const components: Migration = {
  name: '0012-components',
  up: [
    `ALTER TABLE items
      ADD COLUMN IF NOT EXISTS components LONGTEXT NOT NULL DEFAULT '[]' CHECK (JSON_VALID(components)) AFTER action`,
    `ALTER TABLE items CHANGE COLUMN IF EXISTS component old_words VARCHAR(60) NOT NULL DEFAULT ''`,
    settleLines,
    (sequelize) => rewriteCards(sequelize, withComponents),
    ...copySteps(STEP_KEYS),
  ],
  down: [
    ...copySteps(STEP_KEYS.map(([before, now]) => [now, before])),
    (sequelize) => rewriteCards(sequelize, withoutComponents),
    wordLines,
    `ALTER TABLE items CHANGE COLUMN IF EXISTS old_words component VARCHAR(60) NOT NULL DEFAULT ''`,
    `ALTER TABLE items DROP COLUMN IF EXISTS components`,
  ],
};
