import { Controller, Get } from '@nestjs/common';
import { ApiOperation, ApiTags } from '@nestjs/swagger';
import { Sequelize } from 'sequelize-typescript';
import { Problem } from '../problem/problem.js';
import { Public } from '../session/allow.js';

@ApiTags('health')
@Controller('api/health')
export class HealthController {
  constructor(private readonly sequelize: Sequelize) {}

  @ApiOperation({ summary: 'Whether the server and its database answer' })
  @Public()
  @Get()
  async check(): Promise<{ status: 'ok' }> {
    try {
      await this.sequelize.authenticate();
    } catch {
      throw new Problem(
        503,
        'The database does not answer',
        'Try again in a moment; if it lasts, start Yugator again.',
      );
    }
    return { status: 'ok' };
  }
}
