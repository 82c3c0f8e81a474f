import { Injectable } from '@nestjs/common';
import { seasonFaults } from '@yugator/contracts';
import type { SeasonFieldsDto, SeasonsDto, UpdateSeasonsDto } from '@yugator/contracts';
import { civilDate } from '@yugator/core';
import type { Season } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine, MachineSeason } from '../models/machine.model.js';
import { fault, fieldProblem, stale } from '../problem/problem.js';
import { Site } from '../models/site.model.js';
import { SeasonRow, SeasonYearRow } from '../models/season.model.js';

const LONGEST_NAME = 30;

/** The seasons of the site. */
@Injectable()
export class Seasons {
  constructor(private readonly work: UnitOfWork) {}

  /** All seasons as the schedule reckons with them, in the order in which the crew lead keeps them. */
  async all(): Promise<Season[]> {
    const rows = await SeasonRow.findAll({ include: [SeasonYearRow], order: ['place'] });
    return rows.map(({ id, name, years }) => ({
      id,
      name,
      years: (years ?? [])
        .map(({ year, firstDay, lastDay }) => ({
          year,
          firstDay: civilDate(firstDay),
          lastDay: civilDate(lastDay),
        }))
        .sort((a, b) => a.year - b.year),
    }));
  }

  async read(): Promise<SeasonsDto> {
    const [site, seasons, parts, machines] = await Promise.all([
      Site.findOne(),
      this.all(),
      MachineSeason.findAll({ raw: true }),
      Machine.findAll({ attributes: ['id', 'tag'], order: ['tag'], raw: true }),
    ]);
    return {
      version: site?.seasonsVersion ?? 1,
      seasons: seasons.map(({ id, name, years }) => ({
        id,
        name,
        years: years.map((year) => ({ ...year })),
        machines: machines
          .filter((machine) => parts.some((part) => part.seasonId === id && part.machineId === machine.id))
          .map(({ tag }) => tag),
      })),
    };
  }

  /** Writes all seasons at once. One that machines take part in stays until they are taken out of it. */
  async update({ seasons, version }: UpdateSeasonsDto): Promise<SeasonsDto> {
    const faults = seasonFaults(seasons, '/seasons');
    if (faults.length) throw fieldProblem(...faults);
    return this.work.run(async () => {
      const site = await Site.findOne({ lock: true });
      if (site?.seasonsVersion !== version) throw stale('set of seasons', await this.read());
      await this.dropOthers(seasons);
      // Two seasons may change names; for a moment neither has one.
      for (const { id } of seasons) {
        if (id) await SeasonRow.update({ name: id.slice(-LONGEST_NAME) }, { where: { id } });
      }
      for (const [place, season] of seasons.entries()) await this.write(season, place);
      await site.update({ seasonsVersion: version + 1 });
      this.work.changed('seasons', 'machines');
      return this.read();
    });
  }

  private async write({ id, name, years }: SeasonFieldsDto, place: number): Promise<void> {
    const row = id ? await SeasonRow.findByPk(id) : null;
    const seasonId = row?.id ?? uuid();
    if (row) await row.update({ name, place });
    else await SeasonRow.create({ id: seasonId, name, place });
    await SeasonYearRow.destroy({ where: { seasonId } });
    await SeasonYearRow.bulkCreate(
      years.map(({ year, firstDay, lastDay }) => ({ seasonId, year, firstDay, lastDay })),
    );
  }

  private async dropOthers(seasons: readonly SeasonFieldsDto[]): Promise<void> {
    const kept = new Set(seasons.map(({ id }) => id));
    const { seasons: before } = await this.read();
    for (const { id, name, machines } of before.filter((season) => !kept.has(season.id))) {
      if (machines.length) {
        throw fieldProblem(
          fault(
            '/seasons',
            'inUse',
            `${machines.join(', ')} take part in ${name}. Take them out of it first.`,
          ),
        );
      }
      await SeasonYearRow.destroy({ where: { seasonId: id } });
      await SeasonRow.destroy({ where: { id } });
    }
  }
}
