import { Body, Controller, Get, Header, Param, Post, Put, Query, StreamableFile } from '@nestjs/common';
import { ApiCreatedResponse, ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import {
  AddDefectPhotoDto,
  DefectDto,
  DefectPageDto,
  DefectQueryDto,
  EstimateDefectDto,
  ReportDefectDto,
  SearchDefectDto,
  VoidDto,
} from '@yugator/contracts';
import { Person } from '../models/person.model.js';
import { Allow, ForEveryRole, TakesPhotos } from '../session/allow.js';
import { Ago, Caller } from '../session/caller.js';
import { DefectList } from './defectList.js';
import { Defects } from './defects.js';
import { IdOf } from '../gate/idParam.js';

@ApiTags('defects')
@Controller('api')
export class DefectsController {
  constructor(
    private readonly defects: Defects,
    private readonly list: DefectList,
  ) {}

  @ApiOperation({ summary: 'Defects of the fleet, 50 a page: open ones worst first, then those that ended' })
  @ApiOkResponse({ type: DefectPageDto })
  @ForEveryRole()
  @Get('defects')
  find(@Query() query: DefectQueryDto, @Caller() caller: Person): Promise<DefectPageDto> {
    return this.list.find(query, caller);
  }

  @ApiOperation({ summary: 'Keep a photo with a defect' })
  @ApiCreatedResponse({ type: DefectDto })
  @Allow('crewLead', 'mechanic', 'operator')
  @TakesPhotos()
  @Post('defects/:id/photos')
  addPhoto(
    @Param('id', IdOf('defect')) id: string,
    @Body() body: AddDefectPhotoDto,
    @Caller() caller: Person,
  ): Promise<DefectDto> {
    return this.defects.addPhoto(id, body, caller);
  }

  @ApiOperation({ summary: 'A photo of a defect' })
  @ForEveryRole()
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', 'private, max-age=31536000, immutable')
  @Get('defects/:id/photos/:photoId')
  async photo(
    @Param('id', IdOf('defect')) id: string,
    @Param('photoId', IdOf('photo')) photoId: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.defects.photo(id, photoId));
  }

  @ApiOperation({ summary: 'Say how long mending a defect takes' })
  @ApiOkResponse({ type: DefectDto })
  @Allow('crewLead', 'mechanic')
  @Put('defects/:id/estimate')
  estimate(@Param('id', IdOf('defect')) id: string, @Body() body: EstimateDefectDto): Promise<DefectDto> {
    return this.defects.estimate(id, body);
  }

  @ApiOperation({ summary: 'Take a defect back that was none' })
  @ApiCreatedResponse({ type: DefectDto })
  @Allow('crewLead')
  @Post('defects/:id/void')
  takeBack(
    @Param('id', IdOf('defect')) id: string,
    @Body() body: VoidDto,
    @Caller() caller: Person,
  ): Promise<DefectDto> {
    return this.defects.takeBack(id, body, caller);
  }

  @ApiOperation({ summary: 'Open defects of a machine' })
  @ApiOkResponse({ type: [DefectDto] })
  @ForEveryRole()
  @Get('machines/:id/defects')
  of(@Param('id', IdOf('machine')) id: string): Promise<DefectDto[]> {
    return this.defects.open(id);
  }

  @ApiOperation({ summary: 'Report a defect' })
  @ApiCreatedResponse({ type: [DefectDto] })
  @Allow('crewLead', 'mechanic', 'operator')
  @TakesPhotos()
  @Post('machines/:id/defects')
  report(
    @Param('id', IdOf('machine')) id: string,
    @Body() body: ReportDefectDto,
    @Caller() caller: Person,
    @Ago() ago: number | null,
  ): Promise<DefectDto[]> {
    return this.defects.report(id, body, caller, ago);
  }

  @ApiOperation({ summary: 'Keep with a defect why the machine does not start' })
  @ApiCreatedResponse({ type: [DefectDto] })
  @Allow('crewLead', 'mechanic', 'operator')
  @Post('defects/:id/searches')
  search(
    @Param('id', IdOf('defect')) id: string,
    @Body() body: SearchDefectDto,
    @Caller() caller: Person,
  ): Promise<DefectDto[]> {
    return this.defects.search(id, body, caller);
  }
}
