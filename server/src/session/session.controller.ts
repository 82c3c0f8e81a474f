import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChooseUnitsDto, FirstCrewLeadDto, SessionDto, SignInDto, WelcomeDto } from '@yugator/contracts';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { AuditTrail } from '../audit/auditTrail.js';
import { FirstCrewLead } from '../people/firstCrewLead.js';
import { Person } from '../models/person.model.js';
import { toPersonDto } from '../people/toPersonDto.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { ForEveryRole, Public } from './allow.js';
import { Caller } from './caller.js';
import { clearCookie, readCookie, setCookie } from './cookie.js';
import { deviceName } from './deviceName.js';
import { KnownDevices } from './knownDevices.js';
import { Sessions } from './sessions.js';
import { SignIn } from './signIn.js';

/** A device keeps for so long who signed in on it. */
const DEVICE_DAYS = 365;

@ApiTags('session')
@Controller('api')
export class SessionController {
  constructor(
    private readonly sessions: Sessions,
    private readonly signing: SignIn,
    private readonly devices: KnownDevices,
    private readonly calendar: SiteCalendar,
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
    return this.begin(person, false, request, reply);
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
    return this.begin(person, body.isOwnDevice ?? false, request, reply);
  }

  @ApiOperation({ summary: 'Who is signed in, and where' })
  @ApiOkResponse({ type: SessionDto })
  @ForEveryRole()
  @Get('session')
  current(@Caller() caller: Person): Promise<SessionDto> {
    return this.describe(caller);
  }

  @ApiOperation({ summary: 'Choose how figures are shown to you' })
  @ApiOkResponse({ type: SessionDto })
  @ForEveryRole()
  @Put('session/units')
  async chooseUnits(@Body() body: ChooseUnitsDto, @Caller() caller: Person): Promise<SessionDto> {
    await caller.update({ unitSystem: body.unitSystem });
    return this.describe(caller);
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

  /** Begins a session on this device, which from now on is known as one of the person's. */
  private async begin(
    person: Person,
    isOwnDevice: boolean,
    request: FastifyRequest,
    reply: FastifyReply,
  ): Promise<SessionDto> {
    const device = deviceName(request.headers['user-agent']);
    const { token, days } = await this.sessions.begin(person, { device, address: request.ip, isOwnDevice });
    await this.audit.note({ act: 'signedIn', person, subject: device, address: request.ip });
    setCookie(request, reply, 'session', token, days);
    const known = await this.devices.with(readCookie(request, 'device'), person.id);
    setCookie(request, reply, 'device', known, DEVICE_DAYS);
    return this.describe(person);
  }

  private async describe(person: Person): Promise<SessionDto> {
    const { site, today } = await this.calendar.read();
    const { name, timeZone, currency, demonstration, dateOrder } = site;
    const unitSystem = person.unitSystem ?? site.unitSystem;
    return {
      person: toPersonDto(person),
      site: { name, timeZone, currency, demonstration, unitSystem, dateOrder },
      ownUnits: person.unitSystem,
      today,
    };
  }
}
