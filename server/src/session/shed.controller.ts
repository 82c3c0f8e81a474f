import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put, Req, Res } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ChooseShedCodeDto,
  MakeShedDeviceDto,
  SessionDto,
  ShedCodeDto,
  ShedDeviceDto,
  ShedDoorDto,
  ShedSignInDto,
} from '@yugator/contracts';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { IdOf } from '../gate/idParam.js';
import { Person } from '../models/person.model.js';
import { Problem } from '../problem/problem.js';
import { Allow, Public } from './allow.js';
import { Beginning } from './beginning.js';
import { Caller } from './caller.js';
import { readCookie, setCookie } from './cookie.js';
import { ShedCodes } from './shedCodes.js';
import { ShedDevices } from './shedDevices.js';

/** A device of the shed stays one until the crew lead ends it; browsers keep a cookie no longer than this. */
const DEVICE_DAYS = 400;

/** Devices that a shed shares, and going in there by name and four digits. */
@ApiTags('shed')
@Controller('api')
export class ShedController {
  constructor(
    private readonly devices: ShedDevices,
    private readonly codes: ShedCodes,
    private readonly beginning: Beginning,
  ) {}

  @ApiOperation({ summary: 'What the device shows while nobody is in: names, where it is one of the shed' })
  @ApiOkResponse({ type: ShedDoorDto })
  @Public()
  @Get('shed')
  async door(@Req() request: FastifyRequest): Promise<ShedDoorDto> {
    const shed = await this.devices.of(readCookie(request, 'shed'));
    return { device: shed?.name ?? null, people: shed ? await this.codes.people() : [] };
  }

  @ApiOperation({ summary: 'Go in at a device of the shed by name and four digits' })
  @ApiCreatedResponse({ type: SessionDto })
  @Public()
  @Post('shed/session')
  async goIn(
    @Body() body: ShedSignInDto,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<SessionDto> {
    const shed = await this.devices.of(readCookie(request, 'shed'));
    if (!shed)
      throw new Problem(401, 'Not at the shed', 'This is no device of the shed. Sign in with your password.');
    const person = await this.codes.check(body, shed, request.ip);
    return this.beginning.atShed(person, shed, request, reply);
  }

  @ApiOperation({ summary: 'The devices of the shed' })
  @ApiOkResponse({ type: [ShedDeviceDto] })
  @Allow('crewLead')
  @Get('shed-devices')
  list(@Req() request: FastifyRequest): Promise<ShedDeviceDto[]> {
    return this.devices.list(readCookie(request, 'shed'));
  }

  @ApiOperation({ summary: 'Make the device that asks one of the shed' })
  @Allow('crewLead')
  @HttpCode(204)
  @Post('shed-devices')
  async make(
    @Body() body: MakeShedDeviceDto,
    @Caller() caller: Person,
    @Req() request: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<void> {
    const token = await this.devices.make(body, { caller, address: request.ip });
    setCookie(request, reply, 'shed', token, DEVICE_DAYS);
  }

  @ApiOperation({ summary: 'End a device of the shed; whoever is in there is out' })
  @Allow('crewLead')
  @HttpCode(204)
  @Delete('shed-devices/:id')
  end(
    @Param('id', IdOf('device of the shed')) id: string,
    @Caller() caller: Person,
    @Req() { ip: address }: FastifyRequest,
  ): Promise<void> {
    return this.devices.end(id, { caller, address });
  }

  @ApiOperation({ summary: 'Whether you have a code for the devices of the shed' })
  @ApiOkResponse({ type: ShedCodeDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @Get('session/shed-code')
  code(@Caller() { shedCodeHash }: Person): ShedCodeDto {
    return { isSet: shedCodeHash !== null };
  }

  @ApiOperation({ summary: 'Give yourself a code for the devices of the shed' })
  @Allow('crewLead', 'mechanic', 'operator')
  @HttpCode(204)
  @Put('session/shed-code')
  choose(
    @Body() body: ChooseShedCodeDto,
    @Caller() caller: Person,
    @Req() request: FastifyRequest,
  ): Promise<void> {
    const from = { address: request.ip, deviceCookie: readCookie(request, 'device') };
    return this.codes.choose(caller, body, from);
  }

  @ApiOperation({ summary: 'Take your code away' })
  @Allow('crewLead', 'mechanic', 'operator')
  @HttpCode(204)
  @Delete('session/shed-code')
  forget(@Caller() caller: Person, @Req() { ip }: FastifyRequest): Promise<void> {
    return this.codes.forget(caller, ip);
  }
}
