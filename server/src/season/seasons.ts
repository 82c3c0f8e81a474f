import { Injectable } from '@nestjs/common';
import type { SeasonsDto, UpdateSeasonsDto } from '@yugator/contracts';
import { civilDate, seasonYearFault } from '@yugator/core';
import type { Season, SeasonYearFault } from '@yugator/core';
import { v7 as uuid } from 'uuid';
import { UnitOfWork } from '../database/unitOfWork.js';
import { Machine, MachineSeason } from '../machine/machine.model.js';
import { fault, fieldProblem, stale } from '../problem/problem.js';
import type { FieldFaultDto, SeasonFieldsDto, SeasonYearDto } from '@yugator/contracts';
import { Site } from '../site/site.model.js';
import { SeasonRow, SeasonYearRow } from './season.model.js';

const LONGEST_NAME = 30;

const FAULT_WORDS: Record<SeasonYearFault, string> = {
  endsBeforeItBegins: 'ends before it begins. Give a last day on or after the first.',
  longerThanAYear: 'is longer than a year. Give a last day within a year of the first.',
  beginsInAnotherYear: 'begins in another year. Give a first day in that year; the last may lie in the next.',
};

function yearFaults(years: readonly SeasonYearDto[], path: string): FieldFaultDto[] {
  const seen = new Set<number>();
  return years.flatMap(({ year, firstDay, lastDay }, index) => {
    const pointer = `${path}/years/${index}`;
    if (seen.has(year))
      return [fault(`${pointer}/year`, 'repeated', `${year} stands here twice. Keep one line.`)];
    seen.add(year);
    const code = seasonYearFault({ year, firstDay: civilDate(firstDay), lastDay: civilDate(lastDay) });
    return code ? [fault(`${pointer}/lastDay`, code, `${year} ${FAULT_WORDS[code]}`)] : [];
  });
}

function seasonFaults(seasons: readonly SeasonFieldsDto[]): FieldFaultDto[] {
  const names = seasons.map(({ name }) => name.toLowerCase());
  return seasons.flatMap(({ name, years }, index) => [
    ...(names.indexOf(name.toLowerCase()) < index
      ? [
          fault(
            `/seasons/${index}/name`,
            'taken',
            `There are two seasons called ${name}. Give one another name.`,
          ),
        ]
      : []),
    ...yearFaults(years, `/seasons/${index}`),
  ]);
}

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
    const faults = seasonFaults(seasons);
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
