import { Global, Module } from '@nestjs/common';
import type { DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_INTERCEPTOR, DiscoveryModule } from '@nestjs/core';
import { Sequelize } from 'sequelize-typescript';
import { AuditTrail } from '../audit/auditTrail.js';
import { Clock } from '../clock/clock.js';
import { InPieces } from '../gate/inPieces.js';
import { HealthController } from '../health/health.controller.js';
import { LiveController } from '../live/live.controller.js';
import { LiveFeed } from '../live/liveFeed.js';
import { OpenFeeds } from '../live/openFeeds.js';
import { Photos } from '../photo/photos.js';
import { ProblemFilter } from '../problem/problem.filter.js';
import { SetUpCode } from '../session/setUpCode.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { DatabaseUrl } from './databaseUrl.js';
import { Housekeeping } from './housekeeping.js';
import { IdempotencyInterceptor } from './idempotency.interceptor.js';
import { Once } from './once.js';
import { UnitOfWork } from './unitOfWork.js';

/** What the application stands on. */
export interface Ground {
  readonly sequelize: Sequelize;
  readonly databaseUrl: string;
  readonly clock: Clock;
  readonly setUpCode: SetUpCode;
}

/** What carries every subject: the database and how it is written, the clock and its day at the site, the feed of what changes. */
@Global()
@Module({})
export class GroundModule {
  static over({ sequelize, databaseUrl, clock, setUpCode }: Ground): DynamicModule {
    return {
      module: GroundModule,
      imports: [DiscoveryModule],
      controllers: [HealthController, LiveController],
      providers: [
        { provide: Sequelize, useValue: sequelize },
        { provide: Clock, useValue: clock },
        { provide: DatabaseUrl, useValue: new DatabaseUrl(databaseUrl) },
        { provide: SetUpCode, useValue: setUpCode },
        { provide: APP_INTERCEPTOR, useClass: InPieces },
        { provide: APP_INTERCEPTOR, useClass: IdempotencyInterceptor },
        { provide: APP_FILTER, useClass: ProblemFilter },
        ...[AuditTrail, Housekeeping, LiveFeed, Once, OpenFeeds, Photos, SiteCalendar, UnitOfWork],
      ],
      exports: [AuditTrail, Clock, DatabaseUrl, LiveFeed, Photos, SetUpCode, SiteCalendar, UnitOfWork],
    };
  }
}
