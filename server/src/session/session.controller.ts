import { Body, Controller, Delete, Get, HttpCode, Post, Put, Req, Res, UseGuards } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { ChooseUnitsDto, FirstCrewLeadDto, SessionDto, SignInDto, WelcomeDto } from '@yugator/contracts';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { Person } from '../people/person.model.js';
import { FirstCrewLead } from '../people/firstCrewLead.js';
import { toPersonDto } from '../people/toPersonDto.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { ForEveryRole, Public } from './allow.js';
import { Caller } from './caller.js';
import { COOKIE_OPTIONS, SESSION_COOKIE } from './cookie.js';
import { Sessions } from './sessions.js';
import { SignInThrottle } from './signInThrottle.js';

@ApiTags('session')
@Controller('api')
export class SessionController {
  constructor(
    private readonly sessions: Sessions,
    private readonly calendar: SiteCalendar,
    private readonly firstCrewLead: FirstCrewLead,
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
  @UseGuards(SignInThrottle)
  @Post('first-crew-lead')
  async createFirst(
    @Body() body: FirstCrewLeadDto,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SessionDto> {
    const person = await this.firstCrewLead.create(body);
    void reply.setCookie(SESSION_COOKIE, await this.sessions.begin(person), COOKIE_OPTIONS);
    return this.describe(person);
  }

  @ApiOperation({ summary: 'Sign in by name and password' })
  @Public()
  @UseGuards(SignInThrottle)
  @Post('session')
  async signIn(
    @Body() body: SignInDto,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SessionDto> {
    const { token, person } = await this.sessions.signIn(body.name, body.password);
    void reply.setCookie(SESSION_COOKIE, token, COOKIE_OPTIONS);
    return this.describe(person);
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
    const token = request.cookies[SESSION_COOKIE];
    if (token) await this.sessions.signOut(token);
    void reply.clearCookie(SESSION_COOKIE, { path: '/' });
  }

  private async describe(person: Person): Promise<SessionDto> {
    const { site, today } = await this.calendar.read();
    return {
      person: toPersonDto(person),
      site: {
        name: site.name,
        timeZone: site.timeZone,
        currency: site.currency,
        unitSystem: person.unitSystem ?? site.unitSystem,
      },
      ownUnits: person.unitSystem,
      today,
    };
  }
}
