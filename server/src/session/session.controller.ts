import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChooseUnitsDto, FirstCrewLeadDto, SessionDto, SignInDto, WelcomeDto } from '@yugator/contracts';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import { FirstCrewLead } from '../people/firstCrewLead.js';
import { Person } from '../models/person.model.js';
import { ForEveryRole, Public } from './allow.js';
import { Beginning } from './beginning.js';
import { Caller } from './caller.js';
import type { CallerRequest } from './caller.js';
import { clearCookie, readCookie } from './cookie.js';
import { Sessions } from './sessions.js';
import { SignIn } from './signIn.js';

@ApiTags('session')
@Controller('api')
export class SessionController {
  constructor(
    private readonly sessions: Sessions,
    private readonly signing: SignIn,
    private readonly beginning: Beginning,
    private readonly firstCrewLead: FirstCrewLead,
    private readonly audit: AuditTrail,
  ) {}

  @ApiOperation({ summary: 'What a first visitor finds' })
  @ApiOkResponse({ type: WelcomeDto })
  @Public()
  @Get('welcome')
  welcome(): Promise<WelcomeDto> {
    return this.firstCrewLead.welcome();
  }

  @ApiOperation({ summary: 'Name the site and become its crew lead; only while there is none' })
  @Public()
  @Post('first-crew-lead')
  async createFirst(
    @Body() body: FirstCrewLeadDto,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SessionDto> {
    const person = await this.firstCrewLead.create(body, request.ip);
    return this.beginning.withPassword(person, false, request, reply);
  }

  @ApiOperation({ summary: 'Sign in by name and password' })
  @Public()
  @Post('session')
  async signIn(
    @Body() body: SignInDto,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SessionDto> {
    const person = await this.signing.check(body, request.ip, readCookie(request, 'device'));
    return this.beginning.withPassword(person, body.isOwnDevice ?? false, request, reply);
  }

  @ApiOperation({ summary: 'Who is signed in, and where' })
  @ApiOkResponse({ type: SessionDto })
  @ForEveryRole()
  @Get('session')
  current(@Caller() caller: Person, @Req() { shedDevice }: CallerRequest): Promise<SessionDto> {
    return this.beginning.describe(caller, shedDevice ?? null);
  }

  @ApiOperation({ summary: 'Choose how figures are shown to you' })
  @ApiOkResponse({ type: SessionDto })
  @ForEveryRole()
  @Put('session/units')
  async chooseUnits(@Body() body: ChooseUnitsDto, @Caller() caller: Person): Promise<SessionDto> {
    await caller.update({ unitSystem: body.unitSystem });
    return this.beginning.describe(caller, null);
  }

  @ApiOperation({ summary: 'Sign out' })
  @Public()
  @HttpCode(204)
  @Delete('session')
  async signOut(
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<void> {
    const token = readCookie(request, 'session');
    const session = token ? await this.sessions.find(token) : null;
    if (session) {
      const { id, person, device } = session;
      await this.sessions.end(person.id, id);
      await this.audit.note({ act: 'signedOut', person, subject: device, address: request.ip });
    }
    clearCookie(request, reply, 'session');
  }
}
