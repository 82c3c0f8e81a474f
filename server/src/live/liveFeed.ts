import { Injectable } from '@nestjs/common';
import type { OnApplicationShutdown } from '@nestjs/common';
import type { Subject as ChangedSubject } from '@yugator/contracts';
import { Subject } from 'rxjs';
import type { Observable } from 'rxjs';

/** Tells everybody who listens what has changed, once it is committed. */
@Injectable()
export class LiveFeed implements OnApplicationShutdown {
  private readonly stream = new Subject<readonly ChangedSubject[]>();

  publish(subjects: readonly ChangedSubject[]): void {
    if (subjects.length) this.stream.next(subjects);
  }

  changes(): Observable<readonly ChangedSubject[]> {
    return this.stream.asObservable();
  }

  onApplicationShutdown(): void {
    this.stream.complete();
  }
}
