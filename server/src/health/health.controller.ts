import { setTimeout as wait } from 'node:timers/promises';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Sequelize } from 'sequelize-typescript';
import { DATABASE_AWAY } from '../problem/databaseProblem.js';
import { Public } from '../session/allow.js';

const PATIENCE_MS = 2_000;

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(private readonly sequelize: Sequelize) {}

  @ApiOperation({ summary: 'Whether the server and its database answer, within two seconds' })
  @Public()
  @Get()
  async check(): Promise<{ status: 'ok' }> {
    const answered = this.sequelize.authenticate().then(
      () => true,
      () => false,
    );
    const late = wait(PATIENCE_MS, false, { ref: false });
    if (!(await Promise.race([answered, late]))) throw DATABASE_AWAY;
    return { status: 'ok' };
  }
}
