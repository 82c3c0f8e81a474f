import { Injectable } from '@nestjs/common';
import type { EvidenceAnswer, EvidenceDto } from '@yugator/contracts';
import {
  checksSince,
  civilDate,
  isAskedAgain,
  isMovedByChecks,
  lifeHours,
  proposeInterval,
  settledUntil,
} from '@yugator/core';
import type { Check, Finding, IntervalProposal } from '@yugator/core';
import { Op } from 'sequelize';
import { Item } from '../models/book.model.js';
import { storedTriggers } from '../facts/scheduleItem.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { findingsOf } from '../job/findings.js';
import { Job, JobItem } from '../models/job.model.js';
import { isCovered } from '../machine/warrantyOf.js';
import { MachineParts } from '../machine/machineParts.js';
import { Person } from '../models/person.model.js';
import { notFound, Problem } from '../problem/problem.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { EvidenceAnswerRow } from '../models/evidenceAnswer.model.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';

interface FoundCheck extends Check {
  readonly findings: Finding[];
}

/** What the checks of jobs say about how often they are worth doing. */
@Injectable()
export class Evidence {
  constructor(
    private readonly work: UnitOfWork,
    private readonly calendar: SiteCalendar,
    private readonly schedule: FleetSchedule,
    private readonly parts: MachineParts,
  ) {}

  /** The proposals for a machine that are not answered yet. */
  async of(machineId: string): Promise<EvidenceDto[]> {
    const scheduled = await this.schedule.readOne(machineId);
    if (!scheduled) throw notFound('machine');
    const { today } = await this.calendar.read();
    const items = scheduled.facts.items.filter(({ action }) => isMovedByChecks(action));
    const [checks, answers, books] = await Promise.all([
      this.checks(machineId),
      EvidenceAnswerRow.findAll({ where: { machineId }, raw: true }),
      Item.findAll({ where: { id: items.map(({ id }) => id) } }),
    ]);
    const answerOf = new Map(
      answers.map((row) => [row.itemId, { answer: row.answer, on: civilDate(row.answeredOn) }]),
    );
    const isHeld = isCovered(scheduled.machine, scheduled.schedule.life, today);
    const bookOf = new Map(books.map((row) => [row.id, storedTriggers(row.triggers)]));
    return items.flatMap(({ id, name, triggers }) => {
      const answer = answerOf.get(id) ?? null;
      if (!isAskedAgain(answer, today)) return [];
      const proposal: IntervalProposal<FoundCheck> | null = proposeInterval(
        checksSince(checks.get(id) ?? [], settledUntil(answer)),
        {
          present: triggers,
          book: bookOf.get(id) ?? triggers,
          isUnderWarranty: isHeld,
        },
      );
      if (!proposal) return [];
      return [
        {
          itemId: id,
          itemName: name,
          kind: proposal.kind,
          present: [...triggers],
          triggers: [...proposal.triggers],
          checks: proposal.checks.map((check) => ({ ...check })),
        },
      ];
    });
  }

  /** Takes the crew lead's answer; an accepted proposal becomes a departure from the book. */
  async answer(
    machineId: string,
    itemId: string,
    answer: EvidenceAnswer,
    caller: Person,
  ): Promise<EvidenceDto[]> {
    const { today } = await this.calendar.read();
    return this.work.run(async () => {
      const proposal = (await this.of(machineId)).find((each) => each.itemId === itemId);
      if (!proposal) throw new Problem(409, 'Nothing to answer', 'This proposal was answered meanwhile.');
      await EvidenceAnswerRow.upsert({
        machineId,
        itemId,
        answer,
        answeredOn: today,
        answeredById: caller.id,
      });
      if (answer === 'accepted') await this.accept(machineId, proposal);
      this.work.changed('machines');
      return this.of(machineId);
    });
  }

  private async accept(machineId: string, { itemId, triggers, checks, kind }: EvidenceDto): Promise<void> {
    const scheduled = await this.schedule.readOne(machineId);
    const before = scheduled?.overrides.find((row) => row.itemId === itemId);
    const bad = checks.filter(({ isGood }) => !isGood).length;
    const reason =
      kind === 'longer'
        ? `Longer by evidence: the last ${checks.length} checks were good`
        : `Shorter by evidence: ${bad} of the last ${checks.length} checks were bad`;
    await this.parts.override(machineId, itemId, {
      isOmitted: false,
      triggers: [...triggers],
      reason,
      dutyFactor: before?.dutyFactor ?? null,
      windowHours: before?.windowHours ?? null,
      windowDays: before?.windowDays ?? null,
    });
  }

  /** Every check of the machine's items in jobs that count, good or bad. */
  private async checks(machineId: string): Promise<Map<string, FoundCheck[]>> {
    const jobs = await Job.findAll({
      where: { machineId, state: 'signedOff' },
      include: [{ model: JobItem, where: { findings: { [Op.not]: null } } }],
    });
    const checks = new Map<string, FoundCheck[]>();
    for (const { doneOn, life, items } of jobs) {
      if (doneOn === null || life === null) continue;
      const point = { on: civilDate(doneOn), life: lifeHours(life) };
      for (const item of items ?? []) {
        const findings = findingsOf(item);
        const isGood = findings.every((finding) => finding.isGood);
        checks.set(item.itemId, [...(checks.get(item.itemId) ?? []), { ...point, isGood, findings }]);
      }
    }
    return checks;
  }
}
