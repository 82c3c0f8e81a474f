import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';

/** The tags of the machines of jobs, by the id of the job; of all jobs where no ids are given. */
export async function tagsByJob(jobIds?: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const [jobs, machines] = await Promise.all([
    Job.findAll({
      where: jobIds ? { id: [...new Set(jobIds)] } : {},
      attributes: ['id', 'machineId'],
      raw: true,
    }),
    Machine.findAll({ attributes: ['id', 'tag'], raw: true }),
  ]);
  const tags = new Map(machines.map(({ id, tag }) => [id, tag]));
  return new Map(jobs.map(({ id, machineId }) => [id, tags.get(machineId) ?? '']));
}
