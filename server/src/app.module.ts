import { Module } from '@nestjs/common';
import type { DynamicModule } from '@nestjs/common';
import { APP_FILTER, APP_INTERCEPTOR, DiscoveryModule } from '@nestjs/core';
import { Sequelize } from 'sequelize-typescript';
import { AuditController } from './audit/audit.controller.js';
import { AuditTrail } from './audit/auditTrail.js';
import { DatabaseUrl } from './database/databaseUrl.js';
import { Housekeeping } from './database/housekeeping.js';
import { Once } from './database/once.js';
import { InPieces } from './gate/inPieces.js';
import { OpenFeeds } from './live/openFeeds.js';
import { PrintShop } from './paper/printShop.js';
import { Photos } from './photo/photos.js';
import { Admission } from './session/admission.js';
import { KnownDevices } from './session/knownDevices.js';
import { OwnSessionsController } from './session/ownSessions.controller.js';
import { Passwords } from './session/passwords.js';
import { SetUpCode } from './session/setUpCode.js';
import { SignIn } from './session/signIn.js';
import { SignInGuard } from './session/signInGuard.js';
import { BookCatalogue } from './books/bookCatalogue.js';
import { BooksController } from './books/books.controller.js';
import { Unsettled } from './component/unsettled.js';
import { UnsettledController } from './component/unsettled.controller.js';
import { Clock } from './clock/clock.js';
import { IdempotencyInterceptor } from './database/idempotency.interceptor.js';
import { UnitOfWork } from './database/unitOfWork.js';
import { FleetFileController } from './fleetFile/fleetFile.controller.js';
import { FleetThread } from './fleetFile/fleetThread.js';
import { HealthController } from './health/health.controller.js';
import { Defects } from './defect/defects.js';
import { DefectsController } from './defect/defects.controller.js';
import { JobPhotos } from './job/jobPhotos.js';
import { JobSteps } from './job/jobSteps.js';
import { OpenJobs } from './job/openJobs.js';
import { Visits } from './job/visits.js';
import { UsedOil } from './oil/usedOil.js';
import { UsedOilController } from './oil/usedOil.controller.js';
import { Workshop } from './site/workshop.js';
import { WorkshopController } from './site/workshop.controller.js';
import { JobsController } from './job/jobs.controller.js';
import { Jobs } from './job/jobs.js';
import { JobSheets } from './job/jobSheets.js';
import { Records } from './job/records.js';
import { LiveController } from './live/live.controller.js';
import { LiveFeed } from './live/liveFeed.js';
import { FleetController } from './machine/fleet.controller.js';
import { Fleet } from './machine/fleet.js';
import { MetersController } from './meter/meters.controller.js';
import { Meters } from './meter/meters.js';
import { FirstCrewLead } from './people/firstCrewLead.js';
import { LabelPrinter, SimulatedLabelPrinter } from './paper/labelPrinter.js';
import { PaperController } from './paper/paper.controller.js';
import { PeopleController } from './people/people.controller.js';
import { People } from './people/people.js';
import { ProblemFilter } from './problem/problem.filter.js';
import { FleetSchedule } from './schedule/fleetSchedule.js';
import { Books } from './books/books.js';
import { MachineParts } from './machine/machineParts.js';
import { MachinePartsController } from './machine/machineParts.controller.js';
import { MeterChanges } from './meter/meterChanges.js';
import { Evidence } from './evidence/evidence.js';
import { EvidenceController } from './evidence/evidence.controller.js';
import { FleetFacts } from './facts/fleetFacts.js';
import { ScheduleController } from './schedule/schedule.controller.js';
import { Seasons } from './season/seasons.js';
import { SeasonsController } from './season/seasons.controller.js';
import { SiteSettings } from './site/siteSettings.js';
import { SiteSettingsController } from './site/siteSettings.controller.js';
import { SessionController } from './session/session.controller.js';
import { Sessions } from './session/sessions.js';
import { ShelfController } from './shelf/shelf.controller.js';
import { Shelf } from './shelf/shelf.js';
import { SiteCalendar } from './site/siteCalendar.js';
import { TodayController } from './today/today.controller.js';
import { Today } from './today/today.js';

/** What the application stands on. */
interface Ground {
  readonly sequelize: Sequelize;
  readonly databaseUrl: string;
  readonly clock: Clock;
  readonly setUpCode: SetUpCode;
}

@Module({})
export class AppModule {
  /** The application over a database and a clock. */
  static over({ sequelize, databaseUrl, clock, setUpCode }: Ground): DynamicModule {
    return {
      module: AppModule,
      imports: [DiscoveryModule],
      controllers: [
        AuditController,
        BooksController,
        DefectsController,
        EvidenceController,
        FleetController,
        FleetFileController,
        HealthController,
        JobsController,
        LiveController,
        MachinePartsController,
        MetersController,
        OwnSessionsController,
        PaperController,
        PeopleController,
        ScheduleController,
        SeasonsController,
        SessionController,
        ShelfController,
        SiteSettingsController,
        TodayController,
        UnsettledController,
        UsedOilController,
        WorkshopController,
      ],
      providers: [
        { provide: Sequelize, useValue: sequelize },
        { provide: Clock, useValue: clock },
        { provide: DatabaseUrl, useValue: new DatabaseUrl(databaseUrl) },
        { provide: SetUpCode, useValue: setUpCode },
        { provide: APP_INTERCEPTOR, useClass: InPieces },
        { provide: APP_INTERCEPTOR, useClass: IdempotencyInterceptor },
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: LabelPrinter, useClass: SimulatedLabelPrinter },
        Admission,
        AuditTrail,
        BookCatalogue,
        Books,
        Defects,
        Evidence,
        FirstCrewLead,
        Fleet,
        FleetFacts,
        FleetSchedule,
        FleetThread,
        Housekeeping,
        Jobs,
        JobPhotos,
        JobSheets,
        JobSteps,
        KnownDevices,
        LiveFeed,
        MachineParts,
        MeterChanges,
        Meters,
        Once,
        OpenFeeds,
        OpenJobs,
        Passwords,
        People,
        Photos,
        PrintShop,
        Records,
        Seasons,
        Sessions,
        Shelf,
        SignIn,
        SignInGuard,
        SiteCalendar,
        SiteSettings,
        Today,
        UnitOfWork,
        Unsettled,
        UsedOil,
        Visits,
        Workshop,
      ],
    };
  }
}
