import { Body, Controller, Get, Header, Param, Put, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { MachineDetailDto, UpdateAccessPhotoDto } from '@yugator/contracts';
import { IdOf } from '../gate/idParam.js';
import { AccessPhoto } from '../models/machine.model.js';
import { Person } from '../models/person.model.js';
import { notFound } from '../problem/problem.js';
import { Allow, ForEveryRole, TakesPhotos } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { AccessPhotos } from './accessPhotos.js';
import { Fleet } from './fleet.js';

@ApiTags('machines')
@Controller('api/machines/:id/access-photos')
export class AccessPhotosController {
  constructor(
    private readonly photos: AccessPhotos,
    private readonly fleet: Fleet,
  ) {}

  @ApiOperation({ summary: 'Keep a photo of how something is opened, or take it away' })
  @ApiOkResponse({ type: MachineDetailDto })
  @Allow('crewLead', 'mechanic')
  @TakesPhotos()
  @Put()
  async update(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: UpdateAccessPhotoDto,
    @Caller() caller: Person,
  ): Promise<MachineDetailDto> {
    await this.photos.update(id, body, caller);
    return this.fleet.get(id);
  }

  @ApiOperation({ summary: 'How something is opened' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get(':revision')
  async show(
    @Param('id', IdOf('machine')) id: string,
    @Param('revision', IdOf('photo')) revision: string,
  ): Promise<StreamableFile> {
    const photo = await AccessPhoto.findOne({ where: { machineId: id, revision } });
    if (!photo) throw notFound('photo');
    return new StreamableFile(photo.bytes);
  }
}
