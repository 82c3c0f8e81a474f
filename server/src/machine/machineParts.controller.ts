import { Body, Controller, Delete, Get, Header, Param, Post, Put, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  ChangeStatusDto,
  MachineDetailDto,
  OverrideFieldsDto,
  ShareDto,
  UpdateAttachmentsDto,
  UpdateOwnItemsDto,
  UpdateParticipationDto,
  UpdatePhotoDto,
  UpdateSpecDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { notFound } from '../problem/problem.js';
import { Allow, ForEveryRole, TakesList, TakesPhotos } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { Fleet } from './fleet.js';
import { MachinePhoto } from '../models/machine.model.js';
import { MachineParts } from './machineParts.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('machines')
@Controller('api/machines/:id')
export class MachinePartsController {
  constructor(
    private readonly parts: MachineParts,
    private readonly fleet: Fleet,
  ) {}

  @ApiOperation({ summary: 'Take out of service, lay up, retire, or put back' })
  @ApiCreatedResponse({ type: MachineDetailDto })
  @Allow('crewLead', 'mechanic')
  @Post('status')
  async status(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: ChangeStatusDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    await this.parts.changeStatus(id, body, caller);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Say in which seasons the machine works, and how many hours a week' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Put('seasons')
  async seasons(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateParticipationDto,
  ): Promise<MachineDetailDto> {
    await this.parts.updateParticipation(id, body);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Say which attachments the machine has, and their share of the engine hours' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Put('attachments')
  async attachments(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateAttachmentsDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    await this.parts.updateAttachments(id, body, caller);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Write the spec card' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead', 'mechanic')
  @TakesList()
  @Put('spec')
  async spec(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateSpecDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    await this.parts.updateSpec(id, body, caller);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Keep a photo of the machine, or take it away' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead', 'mechanic')
  @TakesPhotos()
  @Put('photo')
  async photo(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdatePhotoDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    await this.parts.updatePhoto(id, body, caller);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'The photo of the machine' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get('photo/:revision')
  async showPhoto(
    @Param('id', IdOf('machine')) id: string,
    @Param('revision', IdOf('photo')) revision: string,
  ): Promise<StreamableFile> {
    const photo = await MachinePhoto.findOne({ where: { machineId: id, revision } });
    if (!photo) throw notFound('photo');
    return new StreamableFile(photo.bytes);
  }

  @ApiOperation({ summary: 'Write the items that only this machine has' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @TakesList()
  @Put('items')
  async items(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateOwnItemsDto,
  ): Promise<MachineDetailDto> {
    await this.parts.updateOwnItems(id, body);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Depart from a line of the books, with a reason' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Put('overrides/:itemId')
  async override(
    @Param('id', IdOf('machine')) id: string,
    @Param('itemId', IdOf('item')) itemId: string,
    @Body() body: OverrideFieldsDto,
  ): Promise<MachineDetailDto> {
    await this.parts.override(id, itemId, body);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Follow the book again' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @Delete('overrides/:itemId')
  async dropOverride(
    @Param('id', IdOf('machine')) id: string,
    @Param('itemId', IdOf('item')) itemId: string,
  ): Promise<MachineDetailDto> {
    await this.parts.dropOverride(id, itemId);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'Hand parts of this machine on to others of its kind' })
  @ApiCreatedResponse({ type: MachineDetailDto })
  @Allow('crewLead')
  @TakesList()
  @Post('share')
  async share(@Param('id', IdOf('machine')) id: string, @Body() body: ShareDto): Promise<MachineDetailDto> {
    await this.parts.share(id, body);
    return this.fleet.get(id);
  }
}
