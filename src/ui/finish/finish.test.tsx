/** What is kept of a piece at the station Finish: lines and coatings, spot inks, named colours. */
import { partOf, undone } from '@/testing/part';
import { screen, waitFor, within } from '@testing-library/react';
import { finishOn, type Element, type Finishing, type Job, type SpotInk, type Swatch } from '@/core/job';
import { answering } from '@/testing/answers';
import { box, makeJob, picture, shape, words } from '@/testing/jobs';
import { FinishList } from './FinishList';
import { InkList } from './InkList';
import { SwatchList } from './SwatchList';

const SUN = { kind: 'process', c: 0, m: 14, y: 78, k: 0 } as const;
const BAND = box('band', [10, 20, 60, 30], { fill: SUN });
const STAR = shape('star', [20, 80, 40, 40], { form: 'star' });

const finishNow = (job: Job): readonly Finishing[] => {
  const [piece] = job.pieces;
  if (!piece) throw new Error('no piece');
  return finishOn(piece, 'front');
};

describe('lines and coatings', () => {
  const listOf = (elements: readonly Element[] = [BAND, STAR], selection: readonly string[] = []) =>
    partOf(<FinishList />, makeJob(elements), selection);

  test('a coating of each source, the one that is chosen', async () => {
    const list = await listOf(undefined, ['band', 'star']);
    for (const over of ['what is selected', 'all that is printed', 'the whole side', 'all over, as a note']) {
      await list.press('Coat …');
      await list.choose('coat with', 'Gloss varnish');
      await list.choose('over', over);
      await list.press('Coat it');
    }
    expect(finishNow(list.job())).toMatchObject([
      { does: 'coat', coating: 'varnish-gloss', of: { from: 'elements', elements: ['band', 'star'] } },
      { of: { from: 'artwork' } },
      { of: { from: 'side' } },
      { does: 'flood', coating: 'varnish-gloss' },
    ]);
    await undone(list, list.before);
  });

  test('a colour is coated wherever it is, and another may take its place', async () => {
    const list = await listOf(undefined, ['band']);
    await list.press('Coat …');
    await list.choose('over', 'all of its colour');
    await list.press('Coat it');
    expect(finishNow(list.job())).toMatchObject([{ of: { from: 'paint', paint: SUN } }]);
    await list.write('colour', '0 100 80 0');
    await list.write('spread', '0.2');
    await list.tick('knocks out the print beneath');
    expect(finishNow(list.job())).toMatchObject([{ of: { paint: { m: 100, y: 80 } }, spread: 0.2, knocksOut: true }]);
    await undone(list, list.before);
  });

  test('the shapes in a picture are traced by the server, and traced again when told otherwise', async () => {
    const sha = 'a'.repeat(64);
    const asked = answering({
      [`/api/assets/${sha}/shapes?by=ground&threshold=12`]: { shapes: 'M0 0L1 0L1 1Z', count: 1 },
      [`/api/assets/${sha}/shapes?by=dark&threshold=50`]: { shapes: 'M0 0L1 0L0 1Z', count: 2 },
    });
    const asset = {
      kind: 'picture',
      name: 'moons.jpg',
      format: 'jpeg',
      width: 600,
      height: 600,
      colour: 'rgb',
    } as const;
    const job = makeJob([picture('moons', sha, [10, 10, 60, 60])], {
      assets: { [sha]: { ...asset, profile: null, alpha: false } },
    });
    const list = await partOf(<FinishList />, job, ['moons']);
    await list.press('Coat …');
    await list.choose('over', 'the shapes in this picture');
    await screen.findByText('The bench shows it.');
    await list.press('Coat it');
    expect(asked.filter(({ path }) => path.includes('/shapes'))).toHaveLength(1);
    expect(finishNow(list.job())).toMatchObject([
      { of: { from: 'picture', element: 'moons', shapes: 'M0 0L1 0L1 1Z' } },
    ]);
    await list.choose('shapes are what is', 'dark');
    expect(finishNow(list.job())).toMatchObject([{ of: { by: 'dark', threshold: 50, shapes: 'M0 0L1 0L0 1Z' } }]);
    // What the server does not know is said, and nothing changes.
    await list.choose('shapes are what is', 'light');
    expect(await screen.findByText(/There is no such thing/)).toBeTruthy();
    expect(finishNow(list.job())).toMatchObject([{ of: { by: 'dark' } }]);
    await undone(list, list.before);
  });

  test('lines along an outline, straight, and in equal parts', async () => {
    const list = await listOf(undefined, ['star']);
    await list.press('Line …');
    await list.choose('line to', 'kiss-cut');
    await list.press('Line it');
    await list.write('outside the outline', '2');
    await list.press('Line …');
    await list.choose('line to', 'kiss-cut');
    await list.choose('follows', 'a straight line');
    await list.press('Line it');
    await list.choose('runs', 'upright');
    await list.choose('across', 'safe area');
    await list.write('from its left edge', '-30');
    await list.write('past both ends', '1');
    await list.press('Line …');
    await list.choose('follows', 'equal parts');
    await list.press('Line it');
    await list.write('equal parts', '4');
    expect(finishNow(list.job())).toMatchObject([
      { process: 'kiss-cut', course: { course: 'outline', elements: ['star'], offset: 2 } },
      { course: { course: 'straight', way: 'upright', against: { box: 'safe' }, at: -30 }, past: 1 },
      { course: { course: 'divide', into: 4 } },
    ]);
    await undone(list, list.before);
  });

  test('they are made in order, which is changed, and one is taken out', async () => {
    const list = await listOf();
    await list.press('Coat …');
    await list.choose('over', 'the whole side');
    await list.press('Coat it');
    await list.press('Line …');
    await list.press('Line it');
    const order = () => finishNow(list.job()).map(({ does }) => does);
    await list.press('Earlier');
    expect(order()).toEqual(['line', 'coat']);
    await list.press('Later');
    expect(order()).toEqual(['coat', 'line']);
    await list.press('Remove');
    expect(order()).toEqual(['coat']);
    await undone(list, list.before);
  });

  test('what it would do is shown before it is done, and goes when it is left', async () => {
    const list = await listOf(undefined, ['star']);
    const shown = () => finishNow(list.store.getState().live ?? list.job());
    await list.press('Coat …');
    expect(shown()).toMatchObject([{ does: 'coat', of: { from: 'elements', elements: ['star'] } }]);
    await list.choose('over', 'the whole side');
    expect(shown()).toMatchObject([{ of: { from: 'side' } }]);
    expect(finishNow(list.job())).toEqual([]);
    await list.press('Leave it');
    expect(shown()).toEqual([]);
    expect(list.store.getState().undoStack).toEqual([]);
  });

  test('what cannot be coated or followed is not offered, and why is said', async () => {
    const list = await listOf();
    const offered = async (field: string) => {
      await list.user.click(screen.getByRole('combobox', { name: field }));
      const found = screen.getAllByRole('option').map((option) => option.textContent);
      await list.user.keyboard('{Escape}');
      return found;
    };
    await list.press('Coat …');
    expect(await offered('over')).toEqual(['all that is printed', 'the whole side', 'all over, as a note']);
    expect(screen.getByText(/Select something to coat that alone/)).toBeTruthy();
    await list.press('Leave it');
    await list.press('Line …');
    expect(await offered('follows')).toEqual(['a straight line', 'equal parts', 'a drawing from a file']);
    await list.choose('follows', 'a drawing from a file');
    expect(screen.getByText('Bring in the drawing that it follows, an SVG or a DXF.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Line it' })).toBeNull();
  });

  test('one that follows what is gone says that nothing is made of it', async () => {
    const coat: Finishing = {
      does: 'coat',
      id: 'c',
      coating: 'foil',
      of: { from: 'elements', elements: ['gone'] },
      spread: 0,
    };
    await partOf(<FinishList />, makeJob([BAND], {}, { finish: { front: [coat] } }));
    expect(screen.getByRole('alert').textContent).toContain('Nothing is made of it');
  });
});

describe('spot inks', () => {
  const SILVER: SpotInk = { name: 'Silver', finish: 'metallic', c: 0, m: 0, y: 0, k: 45 };
  const spotBand = box('band', [10, 20, 60, 30], {
    fill: { kind: 'spot', c: 0, m: 0, y: 0, k: 0, spots: [{ ink: 'Silver', tint: 60 }] },
  });
  const inksOf = async (inks: SpotInk[] = [SILVER]) => {
    const list = await partOf(<InkList />, makeJob([spotBand], { inks }));
    await list.press(/^Spot inks/);
    return list;
  };

  test('an ink is added, named, built, and what is printed with it follows the name', async () => {
    const list = await inksOf();
    await list.write('name', 'Moon silver');
    expect(list.job().inks?.map(({ name }) => name)).toEqual(['Moon silver']);
    expect(list.job().pieces[0]?.surfaces['front']?.[0]).toMatchObject({ fill: { spots: [{ ink: 'Moon silver' }] } });
    await list.write('shown as', '10 5 0 40');
    expect(list.job().inks?.[0]).toMatchObject({ c: 10, m: 5, k: 40 });
    await list.write('measured L* a* b*', '62 -1 -3');
    expect(list.job().inks?.[0]?.lab).toMatchObject({ L: 62, a: -1, b: -3 });
    await list.choose('finish', 'fluorescent');
    await list.press('Add a spot ink');
    expect(list.job().inks).toHaveLength(2);
    await undone(list, list.before);
  });

  test.each([
    ['', 'An ink needs a name.'],
    ['Cyan', 'Cyan'],
    ['All', 'All'],
    ['Varnish matt', 'plate of a line or coating'],
  ])('an ink cannot be called “%s”', async (name, why) => {
    const list = await inksOf();
    await list.write('name', name);
    expect(list.refusal('name')).toContain(why);
    expect(list.job().inks).toEqual([SILVER]);
  });

  test('two that cannot be told apart are offered as one, and what is not used is taken out', async () => {
    const list = await inksOf([SILVER, { ...SILVER, name: 'Silver 2', k: 45.5 }]);
    await list.press('Print both with Silver');
    expect(list.job().inks?.map(({ name }) => name)).toEqual(['Silver']);
    await list.press('Add a spot ink');
    await list.press('Remove what is not used');
    expect(list.job().inks?.map(({ name }) => name)).toEqual(['Silver']);
    await list.press('Remove Silver; what is printed with it takes its build');
    expect(list.job().pieces[0]?.surfaces['front']?.[0]).toMatchObject({ fill: { kind: 'process', k: 27 } });
    await undone(list, list.before);
  });
});

describe('named colours', () => {
  const HEADINGS: Swatch = { name: 'headings', paint: SUN };
  const swatchesOf = async (job: Job, selection: readonly string[] = []) => {
    const list = await partOf(<SwatchList />, job, selection);
    await list.press(/^Named colours/);
    return list;
  };
  const named = (name: string) => ({ kind: 'swatch', swatch: name, tint: 100 }) as const;

  test('the colour of what is selected gets a name, and everything that has it follows', async () => {
    const list = await swatchesOf(makeJob([BAND, { ...BAND, id: 'other' }, STAR]), ['band']);
    await list.press('Name the selected colour');
    const fills = () => list.job().pieces[0]?.surfaces['front']?.map((e) => (e.kind === 'shape' ? e.fill?.kind : ''));
    expect(fills()?.slice(0, 2)).toEqual(['swatch', 'swatch']);
    await list.write('colour', '0 50 100 0');
    expect(list.job().swatches).toMatchObject([{ paint: { m: 50, y: 100 } }]);
    await undone(list, list.before);
  });

  test('another name may not be taken, nor none', async () => {
    const list = await swatchesOf(
      makeJob([{ ...BAND, fill: named('headings') }], {
        swatches: [HEADINGS, { name: 'ground', paint: { ...SUN, c: 80 } }],
      }),
    );
    const first = within(screen.getByText((_, el) => el?.getAttribute('data-swatch') === 'headings'));
    const name = first.getByRole('textbox', { name: 'name' });
    await list.user.clear(name);
    await list.user.type(name, 'Ground{Enter}');
    expect(first.getByText('Another colour is called so.')).toBeTruthy();
    expect(list.job().swatches?.[0]?.name).toBe('headings');
  });

  test('colours come from a file with a name and a colour on each row', async () => {
    const list = await swatchesOf(makeJob([words('w', 'Moon', [0, 0, 50, 20])]));
    const file = new File(['night,90 80 40 50\nmoon,0 4 30 0\n'], 'colours.csv', { type: 'text/csv' });
    await list.user.upload(screen.getByLabelText(/^Colours, CSV/), file);
    await waitFor(() => expect(list.job().swatches?.map(({ name }) => name)).toEqual(['night', 'moon']));
    await list.press('Remove what is not used');
    expect(list.job().swatches ?? []).toEqual([]);
    await undone(list, list.before);
  });

  test('what has a name keeps its inks when the name is taken off', async () => {
    const job = makeJob([{ ...BAND, fill: named('headings') }], { swatches: [HEADINGS] });
    const list = await swatchesOf(job);
    await list.press('Remove the name headings; what has it keeps its inks');
    expect(list.job().pieces[0]?.surfaces['front']?.[0]).toMatchObject({ fill: { kind: 'process', y: 78 } });
    await undone(list, list.before);
  });
});
