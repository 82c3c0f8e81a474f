import { Injectable } from '@nestjs/common';
import { notFound, Problem } from '../problem/problem.js';
import { Job } from '../models/job.model.js';
import { JobSheets } from './jobSheets.js';

/** Jobs that are still worked on. */
@Injectable()
export class OpenJobs {
  constructor(private readonly sheets: JobSheets) {}

  /** Makes writers of a job wait for each other inside a unit of work; one that is no longer open is refused with how it stands. */
  async lock(id: string): Promise<Job> {
    const job = await Job.findByPk(id, { lock: true });
    if (!job) throw notFound('job');
    if (job.state !== 'open') {
      const detail = 'This job was signed off or put away meanwhile.';
      throw new Problem(409, 'No longer open', detail, [], { current: await this.sheets.get(id) });
    }
    return job;
  }
}
