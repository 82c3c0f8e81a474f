import { Global, Module } from '@nestjs/common';
import { AuditController } from '../audit/audit.controller.js';
import { BooksModule } from '../books/books.module.js';
import { FirstCrewLead } from '../people/firstCrewLead.js';
import { PeopleController } from '../people/people.controller.js';
import { People } from '../people/people.js';
import { Admission } from './admission.js';
import { Beginning } from './beginning.js';
import { CrewSessionsController } from './crewSessions.controller.js';
import { KnownDevices } from './knownDevices.js';
import { OwnSessionsController } from './ownSessions.controller.js';
import { OwnPassword } from './ownPassword.js';
import { Passwords } from './passwords.js';
import { SessionController } from './session.controller.js';
import { Sessions } from './sessions.js';
import { ShedCodes } from './shedCodes.js';
import { ShedController } from './shed.controller.js';
import { ShedDevices } from './shedDevices.js';
import { SignIn } from './signIn.js';
import { SignInGuard } from './signInGuard.js';

/** Who is of the crew, and who of them is signed in; whatever asks needs the latter. */
@Global()
@Module({
  imports: [BooksModule],
  controllers: [
    AuditController,
    CrewSessionsController,
    OwnSessionsController,
    PeopleController,
    SessionController,
    ShedController,
  ],
  providers: [
    ...[Admission, Beginning, FirstCrewLead, KnownDevices, OwnPassword, Passwords, People],
    ...[Sessions, ShedCodes, ShedDevices, SignIn, SignInGuard],
  ],
  exports: [Admission, Sessions],
})
export class CrewModule {}
