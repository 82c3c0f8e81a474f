import { Controller, Get, Header, HttpCode, Param, Post, Query, StreamableFile } from '@nestjs/common';
import { ApiOkResponse, ApiOperation, ApiTags } from '@nestjs/swagger';
import { LABELS_OF_SHEET, LabelQueryDto, PaperQueryDto, PrintedLabelDto } from '@yugator/contracts';
import type { UnitSystem } from '@yugator/core';
import { JobSheets } from '../job/jobSheets.js';
import { Records } from '../job/records.js';
import { toMachineDto } from '../machine/toMachineDto.js';
import { Person } from '../models/person.model.js';
import { fault, fieldProblem, notFound, Problem } from '../problem/problem.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Allow, ForEveryRole, TakesLong } from '../session/allow.js';
import { Caller } from '../session/caller.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { LabelPrinter } from './labelPrinter.js';
import { PrintShop } from './printShop.js';
import { serviceLabels } from './serviceLabel.js';
import { IdOf } from '../gate/idParam.js';

const PDF = 'application/pdf';

@ApiTags('paper')
@Controller('api')
export class PaperController {
  constructor(
    private readonly sheets: JobSheets,
    private readonly records: Records,
    private readonly schedule: FleetSchedule,
    private readonly calendar: SiteCalendar,
    private readonly printer: LabelPrinter,
    private readonly shop: PrintShop,
  ) {}

  @ApiOperation({ summary: 'The job sheet as PDF' })
  @ForEveryRole()
  @TakesLong()
  @Header('content-type', PDF)
  @Get('jobs/:id/sheet.pdf')
  async sheet(
    @Param('id', IdOf('job')) id: string,
    @Query() { paper = 'a4' }: PaperQueryDto,
    @Caller() caller: Person,
  ): Promise<StreamableFile> {
    return this.shop.print(async () => {
      const [job, units] = [await this.sheets.get(id), await this.unitsOf(caller)];
      return { kind: 'jobSheet', paper, job, units };
    });
  }

  @ApiOperation({ summary: 'The labels of a job on a sheet of labels, as PDF' })
  @ForEveryRole()
  @TakesLong()
  @Header('content-type', PDF)
  @Get('jobs/:id/labels.pdf')
  async labels(
    @Param('id', IdOf('job')) id: string,
    @Query() { paper = 'a4', from = 1 }: LabelQueryDto,
  ): Promise<StreamableFile> {
    if (from > LABELS_OF_SHEET[paper]) {
      const detail = `This sheet has ${LABELS_OF_SHEET[paper]} labels. Give the first that is still there.`;
      throw fieldProblem(fault('/from', 'beyond', detail));
    }
    return this.shop.print(async () => ({ kind: 'labels', paper, labels: await this.labelsOf(id), from }));
  }

  @ApiOperation({ summary: 'Send the labels of a job to the label printer' })
  @Allow('crewLead', 'mechanic')
  @HttpCode(204)
  @Post('jobs/:id/labels/print')
  async print(@Param('id', IdOf('job')) id: string): Promise<void> {
    await this.printer.print(await this.labelsOf(id));
  }

  @ApiOperation({ summary: 'What the label printer printed lately' })
  @ApiOkResponse({ type: [PrintedLabelDto] })
  @ForEveryRole()
  @Get('label-printer')
  printed(): Promise<PrintedLabelDto[]> {
    return this.printer.printed();
  }

  @ApiOperation({ summary: 'The service record of a machine as PDF' })
  @ForEveryRole()
  @TakesLong()
  @Header('content-type', PDF)
  @Get('machines/:id/record.pdf')
  async record(
    @Param('id', IdOf('machine')) id: string,
    @Query() { paper = 'a4' }: PaperQueryDto,
  ): Promise<StreamableFile> {
    return this.shop.print(async () => {
      const scheduled = await this.schedule.readOne(id);
      if (!scheduled) throw notFound('machine');
      const { site, today } = await this.calendar.read();
      const records = await this.records.allOf(id);
      return {
        kind: 'record',
        paper,
        machine: toMachineDto(scheduled),
        records,
        today,
        units: site.unitSystem,
      };
    });
  }

  private async labelsOf(jobId: string) {
    const labels = serviceLabels(await this.sheets.get(jobId));
    if (labels.length === 0) {
      const detail = 'This job changed no oil, or is not signed off, so there is no label to print.';
      throw new Problem(409, 'No label', detail);
    }
    return labels;
  }

  private async unitsOf({ unitSystem }: Person): Promise<UnitSystem> {
    return unitSystem ?? (await this.calendar.read()).site.unitSystem;
  }
}
