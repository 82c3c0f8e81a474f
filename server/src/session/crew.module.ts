import { Global, Module } from '@nestjs/common';
import { AuditController } from '../audit/audit.controller.js';
import { BooksModule } from '../books/books.module.js';
import { FirstCrewLead } from '../people/firstCrewLead.js';
import { PeopleController } from '../people/people.controller.js';
import { People } from '../people/people.js';
import { Admission } from './admission.js';
import { CrewSessionsController } from './crewSessions.controller.js';
import { KnownDevices } from './knownDevices.js';
import { OwnSessionsController } from './ownSessions.controller.js';
import { Passwords } from './passwords.js';
import { SessionController } from './session.controller.js';
import { Sessions } from './sessions.js';
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
  ],
  providers: [Admission, FirstCrewLead, KnownDevices, Passwords, People, Sessions, SignIn, SignInGuard],
  exports: [Admission, Sessions],
})
export class CrewModule {}
