import type { FastifyInstance } from 'fastify';
import { DISK_FULL_PROBLEM } from '../problem/databaseProblem.js';
import type { CallerRequest } from '../session/caller.js';
import type { Storage } from './storage.js';

const READS_ONLY = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses what the crew writes while the disk is nearly full, so that the database goes on and everything can still be read.
 * Signing in and out are let through. It stands behind the gate, which knows who calls.
 */
export function watchStorage(fastify: FastifyInstance, storage: Storage): void {
  fastify.addHook('onRequest', async (request: CallerRequest) => {
    if (!request.caller || READS_ONLY.has(request.method)) return;
    if (await storage.isNearlyFull()) throw DISK_FULL_PROBLEM;
  });
}
