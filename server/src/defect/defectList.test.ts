import type { DefectDto, DefectPageDto, ProblemDto, TodayDto } from '@yugator/contracts';
import { jobActs } from '../testing/jobActs.js';
import { jpeg, NO_PICTURE } from '../testing/pictures.js';
import { yardOfFile } from '../testing/testApp.js';

const yard = yardOfFile();
const { signOff, ready } = jobActs(() => yard);

type Doer = 'operator' | 'mechanic' | 'viewer' | 'crewLead';
const report = async (words: string, severity: string, more: object = {}, as: Doer = 'operator') =>
  yard.ask<DefectDto[] & ProblemDto>('POST', `/api/machines/${yard.crew.machine}/defects`, {
    as,
    body: { words, severity, ...more },
  });
const find = async (query = '', as: Doer = 'crewLead') =>
  (await yard.ask<DefectPageDto>('GET', `/api/defects${query}`, { as })).body;
const wordsOf = ({ defects }: DefectPageDto) => defects.map(({ words }) => words);

describe('the list of defects', () => {
  it('has the open ones worst first, and finds by how bad, machine, words and who', async () => {
    await report('Seat torn', 'watch');
    await report('Brake 100% gone', 'stop');
    await report('Belt frayed', 'soon', {}, 'mechanic');
    expect(wordsOf(await find())).toEqual(['Brake 100% gone', 'Belt frayed', 'Seat torn']);
    expect(wordsOf(await find('?severity=soon'))).toEqual(['Belt frayed']);
    expect(wordsOf(await find('?search=frayed'))).toEqual(['Belt frayed']);
    expect((await find('?search=T-1')).total).toBe(3);
    // What SQL takes for a wildcard is a letter here.
    expect(wordsOf(await find('?search=100%25'))).toEqual(['Brake 100% gone']);
    expect((await find('?search=e_t')).total).toBe(0);
    expect((await find(`?machineId=${yard.crew.otherMachine}`)).total).toBe(0);
    expect(wordsOf(await find('?by=mine', 'mechanic'))).toEqual(['Belt frayed']);
    expect((await yard.ask('GET', '/api/defects?state=gone')).status).toBe(422);
    expect((await yard.ask('GET', '/api/defects?severity=stop%27')).status).toBe(422);
  });

  it('comes in pages of 50', async () => {
    for (let made = 0; made < 51; made += 1) await report(`Scratch ${made}`, 'watch');
    const first = await find();
    expect([first.total, first.defects.length]).toEqual([51, 50]);
    expect(wordsOf(await find('?page=2'))).toEqual(['Scratch 0']);
  });

  it('keeps the story of what was mended, by whom and with which note', async () => {
    await report('Belt frayed', 'soon');
    const [defect] = (await find()).defects;
    const job = await ready();
    expect((await find()).defects[0]).toMatchObject({ openJobId: job.id, ended: null });
    await signOff(job, { mendedDefectIds: [defect?.id ?? ''], note: 'New belt' });
    expect((await find()).total).toBe(0);
    expect((await find('?state=ended')).defects).toMatchObject([
      { ended: { how: 'mended', on: '2027-05-13', by: 'mechanic', words: 'New belt' }, openJobId: null },
    ]);
    expect((await find('?state=all')).total).toBe(1);
    const { body } = await yard.ask<TodayDto>('GET', '/api/today', { as: 'operator' });
    expect(body.reported).toMatchObject([{ words: 'Belt frayed', ended: { how: 'mended' } }]);
    expect((await yard.ask<TodayDto>('GET', '/api/today')).body.reported).toEqual([]);
  });

  it('keeps what was taken back with the reason; the crew lead alone takes back, once', async () => {
    await report('Rattles', 'watch');
    const id = (await find()).defects[0]?.id;
    const takeBack = (as: Doer, reason = 'A loose bucket') =>
      yard.ask<DefectDto>('POST', `/api/defects/${id}/void`, { as, body: { reason } });
    expect((await takeBack('mechanic')).status).toBe(403);
    expect((await takeBack('crewLead', '')).status).toBe(422);
    const { body } = await takeBack('crewLead');
    expect(body.ended).toEqual({
      how: 'takenBack',
      on: '2027-05-13',
      by: 'crewLead',
      words: 'A loose bucket',
    });
    expect((await takeBack('crewLead')).status).toBe(409);
    expect((await find('?state=ended')).total).toBe(1);
    expect((await find()).total).toBe(0);
  });
});

describe('a photo of a defect', () => {
  it('comes with the report, or later, cleaned; what is no picture is refused and nothing kept', async () => {
    const sent = (await jpeg({ isPlaced: true })).toString('base64');
    const { body } = await report('Cracked', 'soon', { jpeg: sent });
    expect(body[0]?.photos).toHaveLength(1);
    const shown = await yard.ask('GET', `/api${body[0]?.photos[0]}`, { as: 'viewer' });
    expect([shown.status, shown.headers['content-type']]).toEqual([200, 'image/jpeg']);
    const add = (photo: string, as: Doer = 'operator') =>
      yard.ask<DefectDto>('POST', `/api/defects/${body[0]?.id}/photos`, { as, body: { jpeg: photo } });
    expect((await add(sent)).body.photos).toHaveLength(2);
    expect((await add(sent, 'viewer')).status).toBe(403);
    for (let more = 0; more < 4; more += 1) await add(sent);
    expect((await add(sent)).status).toBe(409);
    const none = await report('Bent', 'soon', { jpeg: NO_PICTURE.toString('base64') });
    expect(none.status).toBe(422);
    expect((await find('?search=Bent')).total).toBe(0);
  });
});
