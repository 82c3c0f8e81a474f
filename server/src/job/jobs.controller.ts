import {
  Body,
  Controller,
  Get,
  Header,
  HttpCode,
  Param,
  Post,
  Put,
  Query,
  Req,
  StreamableFile,
} from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  AddJobPhotoDto,
  DropJobDto,
  JobDto,
  JobProgressDto,
  OpenJobDto,
  RecordPageDto,
  RecordQueryDto,
  SignOffDto,
  OutcomeDto,
  PauseJobDto,
  UpdateStepDto,
  VisitDto,
  VoidDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, TakesPhotos } from '../session/allow.js';
import { Ago, Caller } from '../session/caller.js';
import type { CallerRequest } from '../session/caller.js';
import { Jobs } from './jobs.js';
import { JobPhotos } from './jobPhotos.js';
import { JobSteps } from './jobSteps.js';
import { Visits } from './visits.js';
import { JobSheets } from './jobSheets.js';
import { Records } from './records.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('jobs')
@Controller('api')
export class JobsController {
  constructor(
    private readonly jobs: Jobs,
    private readonly sheets: JobSheets,
    private readonly records: Records,
    private readonly steps: JobSteps,
    private readonly visits: Visits,
    private readonly photos: JobPhotos,
  ) {}

  @ApiOperation({ summary: 'One job with its items and what it takes from the shelf' })
  @ApiOkResponse({ type: JobDto })
  @ForEveryRole()
  @Get('jobs/:id')
  get(@Param('id', IdOf('job')) id: string): Promise<JobDto> {
    return this.sheets.get(id);
  }

  @ApiOperation({ summary: 'Open a job for a machine with the chosen items' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Post('jobs')
  open(@Body() body: OpenJobDto, @Caller() caller: Person): Promise<JobDto> {
    return this.jobs.open(body, caller);
  }

  @ApiOperation({ summary: 'Say what became of an item, or take it back' })
  @ApiOkResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Put('jobs/:id/items/:itemId')
  decide(
    @Param('id', IdOf('job')) id: string,
    @Param('itemId', IdOf('item')) itemId: string,
    @Body() body: OutcomeDto,
  ): Promise<JobDto> {
    return this.jobs.decide(id, itemId, body);
  }

  @ApiOperation({ summary: 'Take an item into an open job' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Post('jobs/:id/items/:itemId')
  addItem(
    @Param('id', IdOf('job')) id: string,
    @Param('itemId', IdOf('item')) itemId: string,
  ): Promise<JobDto> {
    return this.jobs.addItem(id, itemId);
  }

  @ApiOperation({ summary: 'Say where a step of a job stands, and what it found' })
  @ApiOkResponse({ type: JobProgressDto })
  @Allow('crewLead', 'mechanic')
  @Put('jobs/:id/steps/:key')
  step(
    @Param('id', IdOf('job')) id: string,
    @Param('key') key: string,
    @Body() body: UpdateStepDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<JobProgressDto> {
    return this.steps.update(id, key, body, caller, ago);
  }

  @ApiOperation({ summary: 'Put a job aside until something is there, or take it up again' })
  @ApiOkResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Put('jobs/:id/pause')
  pause(@Param('id', IdOf('job')) id: string, @Body() body: PauseJobDto): Promise<JobDto> {
    return this.jobs.pause(id, body);
  }

  @ApiOperation({ summary: 'Keep a photo with a job' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @TakesPhotos()
  @Post('jobs/:id/photos')
  addPhoto(
    @Param('id', IdOf('job')) id: string,
    @Body() body: AddJobPhotoDto,
    @Caller() caller: Person,
  ): Promise<JobDto> {
    return this.photos.add(id, body, caller);
  }

  @ApiOperation({ summary: 'A photo of a job' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get('jobs/:id/photos/:photoId')
  async photo(
    @Param('id', IdOf('job')) id: string,
    @Param('photoId', IdOf('photo')) photoId: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.photos.bytes(id, photoId));
  }

  @ApiOperation({ summary: 'What a visit of a machine could be composed of' })
  @ApiOkResponse({ type: VisitDto })
  @ForEveryRole()
  @Get('machines/:id/visit')
  visit(@Param('id', IdOf('machine')) id: string): Promise<VisitDto> {
    return this.visits.of(id);
  }

  @ApiOperation({ summary: 'Sign a job off: record, reading and stock together' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic')
  @Post('jobs/:id/sign-off')
  signOff(
    @Param('id', IdOf('job')) id: string,
    @Body() body: SignOffDto,
    @Caller() caller: Person,
    @Req() { ip }: CallerRequest,
  ): Promise<JobDto> {
    return this.jobs.signOff(id, body, caller, ip);
  }

  @ApiOperation({ summary: 'Put an open job away without a record' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('jobs/:id/drop')
  drop(@Param('id', IdOf('job')) id: string, @Body() body: DropJobDto): Promise<void> {
    return this.jobs.drop(id, body);
  }

  @ApiOperation({ summary: 'Everything done, latest first, 50 a page' })
  @ApiOkResponse({ type: RecordPageDto })
  @ForEveryRole()
  @Get('records')
  find(@Query() query: RecordQueryDto): Promise<RecordPageDto> {
    return this.records.find(query);
  }

  @ApiOperation({ summary: 'Take back what one noted as done a moment ago' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('records/:id/undo')
  undo(
    @Param('id', IdOf('record')) id: string,
    @Caller() caller: Person,
    @Req() { ip }: CallerRequest,
  ): Promise<JobDto> {
    return this.jobs.undo(id, caller, ip);
  }

  @ApiOperation({ summary: 'Void a mistaken record, with its reading and what it drew' })
  @ApiCreatedResponse({ type: JobDto })
  @Allow('crewLead')
  @Post('records/:id/void')
  void(
    @Param('id', IdOf('record')) id: string,
    @Body() body: VoidDto,
    @Caller() caller: Person,
    @Req() { ip }: CallerRequest,
  ): Promise<JobDto> {
    return this.jobs.void(id, body.reason, caller, ip);
  }
}
