import { Body, Controller, Get, Put } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { SiteSettingsDto, UpdateSiteSettingsDto } from '@yugator/contracts';
import { Allow, ForEveryRole } from '../session/allow.js';
import { SiteSettings } from './siteSettings.js';

@ApiTags('site')
@Controller('api/site')
export class SiteSettingsController {
  constructor(private readonly settings: SiteSettings) {}

  @ApiOperation({ summary: 'What holds for the whole site' })
  @ApiOkResponse({ type: SiteSettingsDto })
  @ForEveryRole()
  @Get()
  read(): Promise<SiteSettingsDto> {
    return this.settings.read();
  }

  @ApiOperation({ summary: 'Change what holds for the whole site' })
  @ApiOkResponse({ type: SiteSettingsDto })
  @Allow('crewLead')
  @Put()
  update(@Body() body: UpdateSiteSettingsDto): Promise<SiteSettingsDto> {
    return this.settings.update(body);
  }
}
