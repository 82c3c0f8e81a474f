import type { Sequelize } from 'sequelize-typescript';
import { SequelizeStorage, Umzug } from 'umzug';
import type { Migration, Step } from './migration.js';
import { people } from './migrations/0001-people.js';
import { fleet } from './migrations/0002-fleet.js';
import { jobsAndShelf } from './migrations/0003-jobs-and-shelf.js';
import { schedule } from './migrations/0004-schedule.js';
import { meters } from './migrations/0005-meters.js';
import { sheets } from './migrations/0006-sheets.js';
import { findings } from './migrations/0007-findings.js';
import { costAndFindings } from './migrations/0008-cost-and-findings.js';
import { binaryIds } from './migrations/0009-binary-ids.js';
import { frontGate } from './migrations/0010-front-gate.js';
import { components } from './migrations/0012-components.js';
import { recordsStand } from './migrations/0013-records-stand.js';
import { judgedMeters } from './migrations/0011-judged-meters.js';
import { dateOrder } from './migrations/0014-date-order.js';
import { restVoltage } from './migrations/0015-rest-voltage.js';
import { houseFigures } from './migrations/0016-house-figures.js';
import { accessPhotos } from './migrations/0018-access-photos.js';
import { workPlaces } from './migrations/0020-work-places.js';
import { everyDay } from './migrations/0021-every-day.js';
import { lateSteps } from './migrations/0022-late-steps.js';
import { shedDevices } from './migrations/0023-shed-devices.js';
import { ownReadings } from './migrations/0024-own-readings.js';
import { kits } from './migrations/0025-kits.js';
import { fits } from './migrations/0026-fits.js';
import { lots } from './migrations/0027-lots.js';
import { buying } from './migrations/0028-buying.js';
import { waste } from './migrations/0029-waste.js';
import { articlePhotos } from './migrations/0030-article-photos.js';
import { sheds } from './migrations/0031-sheds.js';
import { seasonPlan } from './migrations/0032-season-plan.js';
import { planMargins } from './migrations/0033-plan-margins.js';
import { workshopHands } from './migrations/0034-workshop-hands.js';
import { planProposals } from './migrations/0035-plan-proposals.js';
import { defectsInPlan } from './migrations/0036-defects-in-plan.js';
import { rounds } from './migrations/0019-rounds.js';
import { defectSearches } from './migrations/0017-defect-searches.js';

const MIGRATIONS: readonly Migration[] = [
  ...[people, fleet, jobsAndShelf, schedule, meters, sheets, findings, costAndFindings],
  ...[binaryIds, frontGate, judgedMeters, components, recordsStand, dateOrder, restVoltage],
  ...[houseFigures, defectSearches, accessPhotos, rounds, workPlaces, everyDay],
  ...[
    lateSteps,
    shedDevices,
    ownReadings,
    kits,
    fits,
    lots,
    buying,
    waste,
    articlePhotos,
    sheds,
    seasonPlan,
    planMargins,
    workshopHands,
    planProposals,
    defectsInPlan,
  ],
];

async function runAll(sequelize: Sequelize, steps: readonly Step[]): Promise<void> {
  for (const step of steps) {
    const statements = typeof step === 'string' ? [step] : await step(sequelize);
    for (const statement of statements) await sequelize.query(statement);
  }
}

/** Brings the schema of a database up (`up()`) or down (`down({ to: 0 })`). */
export function migrator(sequelize: Sequelize): Umzug<Sequelize> {
  return new Umzug({
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
    migrations: MIGRATIONS.map(({ name, up, down }) => ({
      name,
      up: () => runAll(sequelize, up),
      down: () => runAll(sequelize, down),
    })),
  });
}
