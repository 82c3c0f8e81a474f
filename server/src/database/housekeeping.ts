import { Injectable, Logger } from '@nestjs/common';
import type { OnApplicationBootstrap, OnApplicationShutdown } from '@nestjs/common';
import { AuditTrail } from '../audit/auditTrail.js';
import { Clock } from '../clock/clock.js';
import { Sessions } from '../session/sessions.js';
import { forgetOldRequests } from './forgetOldRequests.js';

const EVERY_MS = 24 * 3_600_000;

/** Forgets once a day what is no longer kept: answers to repeatable requests, ended sessions, old lines of the audit list. */
@Injectable()
export class Housekeeping implements OnApplicationBootstrap, OnApplicationShutdown {
  private readonly logger = new Logger('Housekeeping');
  private timer: NodeJS.Timeout | undefined;

  constructor(
    private readonly clock: Clock,
    private readonly audit: AuditTrail,
    private readonly sessions: Sessions,
  ) {}

  async onApplicationBootstrap(): Promise<void> {
    await this.tidy();
    this.timer = setInterval(() => {
      this.tidy().catch((error: unknown) => this.logger.warn(`Not tidied today: ${String(error)}`));
    }, EVERY_MS);
    this.timer.unref();
  }

  onApplicationShutdown(): void {
    clearInterval(this.timer);
  }

  private async tidy(): Promise<void> {
    await forgetOldRequests(this.clock.now());
    await this.audit.forgetOld();
    await this.sessions.forgetEnded();
  }
}
