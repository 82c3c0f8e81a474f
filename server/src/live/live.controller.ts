import { Controller, Header, Sse } from '@nestjs/common';
import type { MessageEvent } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { interval, map, merge } from 'rxjs';
import type { Observable } from 'rxjs';
import { ForEveryRole } from '../session/allow.js';
import { LiveFeed } from './liveFeed.js';

/** Keeps the connection from being cut as idle. */
const HEARTBEAT_MS = 20_000;

@ApiTags('live')
@Controller('api/live')
export class LiveController {
  constructor(private readonly feed: LiveFeed) {}

  @ApiOperation({ summary: 'Names of the subjects that changed, as server-sent events' })
  @ForEveryRole()
  @Header('x-accel-buffering', 'no')
  @Sse()
  live(): Observable<MessageEvent> {
    return merge(
      this.feed.changes().pipe(map((subjects) => ({ type: 'changed', data: { subjects } }))),
      interval(HEARTBEAT_MS).pipe(map(() => ({ type: 'heartbeat', data: {} }))),
    );
  }
}
