/** Other people’s PDFs by the command line: looked at by a house, made a job, and taken. */
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { readJob } from '../core/job';
import { testOfAll } from '../testing/all';
import { ghostscript } from '../testing/planted';
import { inFolder, pageTexts } from '../testing/programs';
import { ys } from '../testing/ys';

/** A5 in RGB, without bleed, as offices write it. */
const CLIENTS = [
  '<< /PageSize [419.53 595.28] >> setpagedevice',
  '0.2 0.3 0.6 setrgbcolor 0 0 420 596 rectfill',
  '1 1 1 setrgbcolor /Helvetica 30 selectfont 60 400 moveto (Open night) show',
  'showpage',
].join('\n');

type Replies = readonly { readonly answer: string; readonly remarks: readonly { readonly rule: string }[] }[];

testOfAll('a client’s PDF is sent back, begun as a job with its edges mirrored, and its press file is taken', () =>
  inFolder(async (folder) => {
    const at = (name: string) => join(folder, name);
    writeFileSync(at('client.pdf'), await ghostscript(CLIENTS));
    const asked = ys('intake', at('client.pdf'), '--printer', 'Copperplate Yard', '--reply', at('reply.pdf'));
    expect([asked.status, (asked.json() as Replies)[0]?.answer]).toEqual([1, 'sent back']);
    expect((asked.json() as Replies)[0]?.remarks.map(({ rule }) => rule)).toEqual(
      expect.arrayContaining(['bleed-small', 'rgb']),
    );
    expect(pageTexts(at('reply.pdf'))[0]).toContain('Sent back');

    const job = at('flyer.ysjob.json');
    const begun = ys('from', at('client.pdf'), '--kind', 'flyer', '--printer', 'Copperplate Yard', '--out', job);
    expect([begun.status, begun.stderr]).toEqual([0, `${job} written.\n`]);
    const read = readJob(JSON.parse(readFileSync(job, 'utf8')));
    expect(read.ok && read.job.pieces[0]?.surfaces['front']).toMatchObject([{ kind: 'page', beyond: 'mirrored' }]);

    expect(ys('export', job, '--to', 'press', '--strict', '--out', at('out')).status).toBe(0);
    const [press = ''] = readdirSync(at('out'));
    const again = ys('intake', join(at('out'), press), '--job', job);
    expect([again.status, (again.json() as Replies)[0]?.answer]).toEqual([0, 'taken']);

    expect(ys('export', job, '--to', 'proof', '--revision', '3', '--out', at('proof')).status).toBe(0);
    expect(pageTexts(join(at('proof'), readdirSync(at('proof'))[0] ?? ''))[0]).toContain('Proof of version 3');
  }),
);

test.each([
  [['from'], 'Name the PDF and the job'],
  [
    ['from', 'CLIENT', '--beyond', 'sideways', '--out', 'x.json'],
    '--beyond is one of nothing, own, mirrored, stretched.',
  ],
  [['from', 'CLIENT', '--kind', 'booklet', '--out', 'x.json'], '1 pages make no booklet'],
  [['from', 'CLIENT', '--printer', 'Nobody', '--out', 'x.json'], 'There is no printer “Nobody”'],
  [['from', 'package.json', '--out', 'x.json'], 'package.json'],
])('%j is refused in words, and nothing is written', (args, said) =>
  inFolder(async (folder) => {
    const client = join(folder, 'client.pdf');
    writeFileSync(client, await ghostscript(CLIENTS));
    const typed = args.map((word) => (word === 'CLIENT' ? client : word === 'x.json' ? join(folder, word) : word));
    const { status, stderr } = ys(...typed);
    expect([status, stderr.includes(said) || stderr]).toEqual([2, true]);
    expect(existsSync(join(folder, 'x.json'))).toBe(false);
  }),
);
