import 'reflect-metadata';
import { ImportFleetDto } from '@yugator/contracts';
import { SetClock } from '../clock/clock.js';
import { connect } from '../database/connect.js';
import { Once } from '../database/once.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { EntityTag } from '../gate/entityTag.js';
import { CollectedChanges } from '../live/collectedChanges.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { handedOver } from '../queue/handedOver.js';
import { sentBody } from '../queue/sentBody.js';
import { sentProblem } from '../queue/sentProblem.js';
import { ExportFleet } from './exportFleet.js';
import type { FleetAnswer, FleetTask } from './fleetTask.js';
import { ImportFleet } from './importFleet.js';

const NO_JSON = 'This file is no JSON. Choose a fleet file and try again.';

async function run(task: FleetTask): Promise<FleetAnswer> {
  const sequelize = connect(task.databaseUrl);
  try {
    const changes = new CollectedChanges();
    const clock = new SetClock(task.now);
    const work = new UnitOfWork(sequelize, changes);
    const calendar = new SiteCalendar(clock);
    const seasons = new Seasons(work);
    if (task.kind === 'export') {
      const file = await new ExportFleet(new FleetFacts(), calendar, seasons).file();
      const json = new TextEncoder().encode(JSON.stringify(file));
      return { kind: 'exported', json, tag: new EntityTag().add(json).end() };
    }
    const body = sentBody(ImportFleetDto, task.bytes, NO_JSON);
    const take = () => new ImportFleet(work, calendar, seasons).import(body, task.importer);
    const result = task.once ? await new Once(work, clock).run(task.once, take) : await take();
    return { kind: 'imported', result, changed: [...changes.subjects] };
  } finally {
    await sequelize.close();
  }
}

/** Exports or imports a whole fleet in this thread, over a connection of its own. What is refused comes back as data. */
export default async function fleetWorker(task: FleetTask): Promise<FleetAnswer> {
  try {
    const answer = await run(task);
    return answer.kind === 'exported' ? handedOver(answer, answer.json) : answer;
  } catch (error) {
    return { kind: 'refused', problem: sentProblem(error) };
  }
}
