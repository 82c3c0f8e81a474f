import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import type { Changes } from '@yugator/contracts';
import { Subject } from 'rxjs';
import type { Observable } from 'rxjs';

/** Tells everybody who listens what has changed, once it is committed. */
@Injectable()
export class LiveFeed implements OnApplicationShutdown {
  private readonly stream = new Subject<Changes>();

  publish(subjects: Changes['subjects'], jobs: Changes['jobs'] = []): void {
    if (subjects.length + jobs.length) this.stream.next({ subjects, jobs });
  }

  changes(): Observable<Changes> {
    return this.stream.asObservable();
  }

  onApplicationShutdown(): void {
    this.stream.complete();
  }
}
