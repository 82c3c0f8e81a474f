import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import type { Migration } from '../migration.js';

const ID = 'CHAR(36) CHARACTER SET ascii COLLATE ascii_bin';

/** Movements that count, each with how much had come in, or gone out, of its article up to and with it. */
const MOVED = `moved AS (
  SELECT id, article_id, quantity, price_minor, moved_at,
    SUM(ABS(quantity)) OVER (PARTITION BY article_id, quantity > 0 ORDER BY moved_at, id) AS upto
  FROM movements WHERE voided_at IS NULL AND quantity <> 0)`;

/** Which part of what came in went out with which movement, first in first out: from and to in what had gone out by then. */
const PARTS = `parts AS (
  SELECT gone.id AS movement_id, came.id AS lot_id, came.moved_at AS came_at,
    gone.upto + gone.quantity AS gone_from, came.upto - came.quantity AS came_from,
    gone.price_minor AS gone_price, came.price_minor AS came_price,
    GREATEST(came.upto - came.quantity, gone.upto + gone.quantity) AS part_from, LEAST(came.upto, gone.upto) AS part_to
  FROM moved gone JOIN moved came ON came.article_id = gone.article_id
    AND came.upto > gone.upto + gone.quantity AND came.upto - came.quantity < gone.upto
  WHERE gone.quantity < 0 AND came.quantity > 0)`;

/** A value from one figure to another, rounded so that the parts add up to the whole. */
function between(price: string, begin: string): string {
  return `ROUND((part_to - ${begin}) * ${price}) - ROUND((part_from - ${begin}) * ${price})`;
}

/** What every movement was worth at the price of its day, and what went out of which lot. Nothing where that was done already. */
async function lotsOfOldMovements(sequelize: Sequelize): Promise<string[]> {
  const columns = await sequelize.query(`SHOW COLUMNS FROM movements LIKE 'price_minor'`, {
    type: QueryTypes.SELECT,
  });
  if (columns.length === 0) return [];
  return [
    `DELETE FROM takes`,
    `UPDATE movements SET value_minor = ROUND(quantity * price_minor)`,
    `INSERT INTO takes (movement_id, n, lot_id, quantity, cost_minor, lot_minor)
     WITH ${MOVED}, ${PARTS}
     SELECT movement_id, ROW_NUMBER() OVER (PARTITION BY movement_id ORDER BY came_at, lot_id) - 1, lot_id,
       part_to - part_from, ${between('gone_price', 'gone_from')}, ${between('came_price', 'came_from')}
     FROM parts`,
    // What went out beyond all that ever came in.
    `INSERT INTO takes (movement_id, n, lot_id, quantity, cost_minor, lot_minor)
     SELECT movements.id, COUNT(takes.n), NULL, -movements.quantity - COALESCE(SUM(takes.quantity), 0),
       -movements.value_minor - COALESCE(SUM(takes.cost_minor), 0), 0
     FROM movements LEFT JOIN takes ON takes.movement_id = movements.id
     WHERE movements.quantity < 0 AND movements.voided_at IS NULL
     GROUP BY movements.id, movements.quantity, movements.value_minor
     HAVING -movements.quantity > COALESCE(SUM(takes.quantity), 0)`,
    `UPDATE movements LEFT JOIN
       (SELECT lot_id, SUM(quantity) AS quantity, SUM(lot_minor) AS lot_minor FROM takes GROUP BY lot_id) AS gone
       ON gone.lot_id = movements.id
     SET left_quantity = movements.quantity - COALESCE(gone.quantity, 0),
       left_minor = movements.value_minor - COALESCE(gone.lot_minor, 0)
     WHERE movements.quantity > 0 AND movements.voided_at IS NULL`,
    `ALTER TABLE movements DROP COLUMN IF EXISTS price_minor`,
  ];
}

/** What came in is a lot, in containers or loose, and what went out says out of which: stock is valued first in first out. */
export const lots: Migration = {
  name: '0027-lots',
  up: [
    `ALTER TABLE movements
      ADD COLUMN IF NOT EXISTS value_minor INT NOT NULL DEFAULT 0,
      ADD COLUMN IF NOT EXISTS left_quantity DECIMAL(12, 3) NULL CHECK (left_quantity >= 0),
      ADD COLUMN IF NOT EXISTS left_minor INT NULL,
      ADD COLUMN IF NOT EXISTS container DECIMAL(12, 3) NULL CHECK (container > 0)`,
    `CREATE TABLE IF NOT EXISTS takes (
      movement_id ${ID} NOT NULL,
      n SMALLINT NOT NULL,
      lot_id ${ID} NULL,
      quantity DECIMAL(12, 3) NOT NULL CHECK (quantity > 0),
      cost_minor INT NOT NULL,
      lot_minor INT NOT NULL,
      PRIMARY KEY (movement_id, n),
      FOREIGN KEY (movement_id) REFERENCES movements (id),
      FOREIGN KEY (lot_id) REFERENCES movements (id)
    ) ENGINE = InnoDB`,
    lotsOfOldMovements,
  ],
  down: [
    `ALTER TABLE movements ADD COLUMN IF NOT EXISTS price_minor INT NOT NULL DEFAULT 0`,
    `UPDATE movements SET price_minor = ROUND(value_minor / quantity) WHERE quantity <> 0`,
    // What is lent, thrown away or brought back is a count for whoever knows only those.
    `UPDATE movements SET kind = 'counted' WHERE kind IN ('returned', 'scrapped', 'lent')`,
    `DROP TABLE IF EXISTS takes`,
    `ALTER TABLE movements
      DROP COLUMN IF EXISTS container,
      DROP COLUMN IF EXISTS left_minor,
      DROP COLUMN IF EXISTS left_quantity,
      DROP COLUMN IF EXISTS value_minor`,
  ],
};
