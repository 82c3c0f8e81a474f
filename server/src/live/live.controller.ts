import { Controller, Header, Sse } from '@nestjs/common';
import type { MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { finalize, interval, map, merge, switchMap, takeWhile } from 'rxjs';
import type { Observable } from 'rxjs';
import { Person } from '../models/person.model.js';
import { Problem } from '../problem/problem.js';
import { ForEveryRole, StaysOpen } from '../session/allow.js';
import { Caller, SessionId } from '../session/caller.js';
import { Sessions } from '../session/sessions.js';
import { LiveFeed } from './liveFeed.js';
import { HEARTBEAT_MS, OpenFeeds } from './openFeeds.js';

@ApiTags('live')
@Controller('api/live')
export class LiveController {
  constructor(
    private readonly feed: LiveFeed,
    private readonly open: OpenFeeds,
    private readonly sessions: Sessions,
  ) {}

  @ApiOperation({
    summary: 'Names of the subjects that changed, and open jobs that moved on, as server-sent events',
  })
  @ForEveryRole()
  @StaysOpen()
  @Header('x-accel-buffering', 'no')
  @Sse()
  live(@Caller() { id }: Person, @SessionId() sessionId: string): Observable<MessageEvent> {
    const close = this.open.take(id);
    if (!close) {
      const detail = 'You have this open in too many windows. Close some and reload.';
      throw new Problem(429, 'Too many windows', detail, [], { retryAfter: 60 });
    }
    const changes = this.feed.changes().pipe(map((data) => ({ type: 'changed', data, isSignedIn: true })));
    // Keeps the connection from being cut as idle, and ends it once its session has ended.
    const heartbeats = interval(HEARTBEAT_MS).pipe(
      switchMap(() => this.sessions.holds(sessionId)),
      map((isSignedIn) => ({ type: 'heartbeat', data: {}, isSignedIn })),
    );
    return merge(changes, heartbeats).pipe(
      takeWhile(({ isSignedIn }) => isSignedIn),
      map(({ type, data }) => ({ type, data })),
      finalize(close),
    );
  }
}
