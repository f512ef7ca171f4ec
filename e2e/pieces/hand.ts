import { expect, type Locator, type Page } from '@playwright/test';
import { demoFile } from '../../src/demo/pictures';
import { open, openChoice, pasteText } from '../helpers';

/**
 * What a person writes into the fields of the slip, by the name of each field; `true` ticks a box. `Frame › stands` is
 * a field behind a door of the slip.
 */
export type Look = Readonly<Record<string, string | number | boolean>>;

/** What is open above the slip; a list of choices closes by itself. */
const OPENED = '[role=dialog]';

/** Fields of where an element stands, and their words in a line. */
const FACTS: Readonly<Record<string, string>> = {
  'x-left': 'left',
  'x-right': 'right',
  'x-width': 'width',
  'x-off centre': 'centre',
  'y-top': 'top',
  'y-bottom': 'bottom',
  'y-height': 'height',
  'y-off centre': 'middle',
};

/** Fields of how an element looks, and their words in a line. */
const LOOKS: Readonly<Record<string, string>> = {
  style: 'style',
  'set in': 'in',
  ink: 'ink',
  'Fill/paint': 'fill',
  'Line/paint': 'line',
  'stroke-width': 'line',
  opacity: 'opacity',
};

/** Boxes that a place is held against: of both axes, and of the one down by itself. */
const BOXES: readonly string[] = ['box', 'down'];

const isSaid = (label: string): boolean => BOXES.includes(label) || label in FACTS || label in LOOKS;

/** What is said of an element in one line. @returns undefined where a line cannot say it */
function lineOf(look: Look, name?: string): string | undefined {
  const entries = Object.entries(look);
  const placing = entries.filter(([label]) => BOXES.includes(label) || label in FACTS);
  const place = placing.length === 0 ? '' : placeOf(placing);
  if (place === undefined) return undefined;
  const width = look['stroke-width'];
  const looks = entries.flatMap(([label, value]) => {
    const word = LOOKS[label];
    if (word === undefined || (label === 'stroke-width' && 'Line/paint' in look)) return [];
    const thick = word === 'line' && width !== undefined ? `${String(width)} pt` : '';
    return [[word, thick, label === 'stroke-width' ? '' : String(value)].filter((part) => part !== '').join(' ')];
  });
  return [name === undefined ? '' : `called ${name}`, place, ...looks].filter((part) => part !== '').join(' | ');
}

/** What is said of a place. @returns undefined where a line cannot say it */
function placeOf(placing: readonly (readonly [label: string, value: unknown])[]): string | undefined {
  const given = new Map(placing);
  // A width that is let go leaves both edges in charge: the line says them.
  const facts = placing.filter(([label, value]) => !BOXES.includes(label) && value !== '');
  for (const [axis, start, end, size] of [
    ['x-', 'x-left', 'x-right', 'x-width'],
    ['y-', 'y-top', 'y-bottom', 'y-height'],
  ] as const) {
    const own = facts.filter(([label]) => label.startsWith(axis));
    if (own.length > 2) return undefined;
    if (given.get(size) === '' && !(given.has(start) && given.has(end))) return undefined;
  }
  const words = (those: typeof facts) =>
    those.map(([label, value]) => `${FACTS[label] ?? label} ${String(value)}`).join(', ');
  const held = (box: string, those: typeof facts) =>
    given.has(box) ? `${String(given.get(box))}: ${words(those)}` : words(those);
  if (!given.has('down')) return held('box', facts);
  const [across, down] = [/^x-/, /^y-/].map((axis) => facts.filter(([label]) => axis.test(label)));
  return `${held('box', across ?? [])}; ${held('down', down ?? [])}`;
}

/**
 * A person at the bench: each press of a key or button, each choice and each entry is one action. Nothing can be
 * dragged or nudged with it: what stands somewhere was told where.
 */
export class Hand {
  actions = 0;
  readonly typed: string[] = [];

  constructor(readonly page: Page) {}

  private get scope(): Locator {
    return this.page
      .locator(OPENED)
      .or(this.page.getByRole('region', { name: 'Selection' }))
      .last();
  }

  async key(key: string): Promise<void> {
    this.actions += 1;
    await this.page.locator('[data-bench]').focus();
    await this.page.keyboard.press(key);
  }

  async press(name: string | RegExp, role: 'button' | 'radio' | 'tab' = 'button'): Promise<void> {
    this.actions += 1;
    const exact = typeof name === 'string';
    await this.page.getByRole(role, { name, exact }).first().click();
  }

  /** Writes into a field that is found by its name, and takes it. */
  async write(field: Locator, text: string): Promise<void> {
    this.actions += 1;
    this.typed.push(text);
    await field.fill(text);
    await field.press('Enter');
    await this.isTaken(field, text);
  }

  /** What a field refuses it keeps, and says so there. */
  private async isTaken(field: Locator, text: string): Promise<void> {
    await expect(field.and(this.page.locator('[aria-invalid=true]')), `“${text}” is taken`).toHaveCount(0);
  }

  /** Which of two controls is there, once one is: what was done before may still be on its way to the sheet. */
  private async isThere(one: Locator, other: Locator): Promise<boolean> {
    await expect(one.or(other).first()).toBeVisible();
    return (await one.count()) > 0;
  }

  private async choose(control: Locator, option: string): Promise<void> {
    this.actions += 2;
    await openChoice(control);
    await this.page.getByRole('option', { name: option, exact: true }).first().click();
    await expect(this.page.getByRole('listbox')).toHaveCount(0);
  }

  /** Begins a job from the gallery: its kind, and what is written or chosen of it. */
  async begin(kind: string, fields: Readonly<Record<string, string>>): Promise<void> {
    await open(this.page, '/');
    await this.press('New job');
    await this.beginWith(kind, fields);
  }

  /** Begins a job with a printable, likewise. */
  async beginPrintable(title: string, fields: Readonly<Record<string, string>>): Promise<void> {
    await open(this.page, '/');
    await this.press('New job');
    await this.press('Printables');
    await this.beginWith(title, fields);
  }

  private async beginWith(kind: string, fields: Readonly<Record<string, string>>): Promise<void> {
    await this.press(kind, 'radio');
    for (const [label, value] of Object.entries(fields)) {
      const field = this.page.getByRole('textbox', { name: label, exact: true });
      const choice = this.page.getByRole('combobox', { name: label, exact: true }).first();
      if (await this.isThere(field, choice)) {
        this.actions += 1;
        this.typed.push(value);
        await field.fill(value);
      } else await this.choose(choice, value);
    }
    await this.press('Begin');
    await expect(this.page.locator('[data-bench]')).toBeVisible();
    await this.key('Alt+3');
    await expect(this.page.getByRole('toolbar', { name: 'Add to this side' })).toBeVisible();
  }

  /** Adds a printable from the gallery of the bench. */
  async printable(title: string, name: string, look: Look): Promise<void> {
    // Nothing selected, it fills the safe area.
    await this.key('Escape');
    await this.key('n');
    await this.press(title, 'radio');
    await expect(this.page.getByRole('heading', { name: 'Add a printable' })).toHaveCount(0);
    await this.say(look, name);
  }

  /** Decides things of a printable on the yellow sheet, by the names of their fields. */
  async decide(decisions: Readonly<Record<string, string>>): Promise<void> {
    const sheet = this.page.getByRole('complementary', { name: 'Yellow sheet' });
    for (const [label, value] of Object.entries(decisions)) {
      const field = sheet.locator(`input[name="${label}"], textarea[name="${label}"]`).first();
      const choice = sheet.getByRole('combobox', { name: label, exact: true });
      if (!(await this.isThere(field, choice))) {
        await this.choose(choice, value);
        continue;
      }
      this.actions += 1;
      this.typed.push(value);
      await field.fill(value);
      await field.blur();
      await this.isTaken(field, value);
    }
  }

  /** Sets fields of what is selected, or of the part that is open. */
  async set(look: Look): Promise<void> {
    for (const [label, value] of Object.entries(look)) {
      const [part, within] = label.split(' › ');
      if (part && within) await this.within(part, () => this.setOne(within, value));
      else await this.setOne(label, value);
    }
  }

  /** Says of what is selected, in one line, where it stands and how it looks, with its name; the rest is set. */
  async say(look: Look, name?: string): Promise<void> {
    const entries = Object.entries(look);
    const line = lineOf(look, name);
    if (line === undefined) {
      if (name !== undefined) await this.name(name);
      return this.set(look);
    }
    if (line !== '') await this.setOne('said', line);
    await this.set(Object.fromEntries(entries.filter(([label]) => !isSaid(label))));
  }

  /** One field; `Stroke/paint` is the field of that name in the group of that name. */
  private async setOne(path: string, value: string | number | boolean): Promise<void> {
    const [label = '', group] = path.split('/').reverse();
    const scope = group === undefined ? this.scope : this.scope.getByRole('group', { name: group, exact: true });
    if (typeof value === 'boolean') {
      this.actions += 1;
      return scope.getByLabel(label, { exact: true }).setChecked(value);
    }
    const text = String(value);
    const named = scope.locator(`input[name="${label}"], textarea[name="${label}"]`);
    const box = scope.getByRole('combobox', { name: label, exact: true });
    if (await this.isThere(named, box)) return this.write(named.first(), text);
    if ((await box.evaluate((el) => el.tagName)) !== 'INPUT') return this.choose(box, text);
    await this.find(box, text);
  }

  /** A box is found by typing a part of its name, and taken from what is offered. */
  private async find(box: Locator, name: string): Promise<void> {
    this.actions += 2;
    this.typed.push(name);
    // A click shows what there is, whatever stands in the box already. On a busy machine the sheet may follow what was
    // done before only now, and close the list: a person opens it again.
    await expect(async () => {
      await box.click();
      await box.fill(name);
      await this.page.getByRole('option', { name, exact: true }).click({ timeout: 10_000 });
    }).toPass();
  }

  /** Makes a paint a gradient: where each stop is (percent), its colour and its opacity (percent). */
  async gradient(
    label: string,
    stops: readonly (readonly [number, string, number?])[],
    look: Look = {},
  ): Promise<void> {
    const [name = '', group] = label.split('/').reverse();
    const scope = group === undefined ? this.scope : this.scope.getByRole('group', { name: group, exact: true });
    this.actions += 1;
    await scope
      .getByRole('button', { name: new RegExp(`^${name}: `) })
      .first()
      .click();
    await this.press('Gradient');
    for (let i = 2; i < stops.length; i += 1) await this.press('Add a stop');
    for (const [i, [at, paint, opacity]] of stops.entries()) {
      await this.setOne(`stop ${i + 1}`, paint);
      await this.setOne(`stop-${i + 1}-at`, at);
      if (opacity !== undefined) await this.setOne(`stop-${i + 1}-opacity`, opacity);
    }
    await this.set(look);
    await this.close();
  }

  /** Closes what is open above the slip. */
  async close(): Promise<void> {
    this.actions += 1;
    const open = this.page.locator(OPENED);
    const before = await open.count();
    await this.page.keyboard.press('Escape');
    await expect(open).toHaveCount(before - 1);
  }

  /** Opens a part of the slip, does something there, and closes it. */
  async within(part: string | RegExp, work: () => Promise<void>): Promise<void> {
    this.actions += 1;
    await this.scope.getByRole('button', { name: part }).first().click();
    await work();
    await this.close();
  }

  async name(name: string): Promise<void> {
    await this.write(this.page.getByRole('textbox', { name: 'Name', exact: true }), name);
  }

  /** Adds a text: the key, its words, a name, and its look. */
  async text(name: string, words: string, look: Look): Promise<void> {
    await this.key('t');
    await this.words(words);
    await this.say(look, name);
  }

  /** Types into the text that is open for typing. */
  async words(words: string): Promise<void> {
    this.actions += 2;
    this.typed.push(words);
    await this.page.keyboard.press('Control+a');
    await this.page.keyboard.insertText(words);
    await this.page.keyboard.press('Escape');
  }

  /** Makes a paragraph style under a name, as it is set, and what the paragraph after it is in. */
  async style(
    name: string,
    setIn: string,
    more: Look & { readonly next?: string; readonly based?: string } = {},
  ): Promise<void> {
    const { next, based, ...look } = more;
    await this.press('Add a paragraph style');
    const made = this.page.getByRole('group', { name: /^style Paragraph style/ });
    await this.write(made.getByRole('textbox', { name: /^name/ }), name);
    const style = this.page.getByRole('group', { name: `style ${name}`, exact: true });
    if (based !== undefined) await this.choose(style.getByRole('combobox', { name: 'based on' }), based);
    await this.write(style.locator('input[name="style-set-in"]'), setIn);
    for (const [label, value] of Object.entries(look))
      await this.write(
        style
          .locator(`input[name="${label}"]`)
          .or(style.getByRole('textbox', { name: label, exact: true }))
          .first(),
        String(value),
      );
    if (next === undefined) return;
    this.actions += 1;
    await style.getByRole('button', { name: 'Paragraph' }).click();
    await this.choose(this.page.getByRole('dialog').getByRole('combobox', { name: 'next paragraph in' }), next);
    await this.close();
  }

  /**
   * Types paragraphs into the text that is open: each after the key of its style, where it is not the one that follows
   * by itself.
   */
  async paragraphs(list: readonly (readonly [style: number | undefined, words: string])[]): Promise<void> {
    for (const [i, [style, words]] of list.entries()) {
      if (i > 0) {
        this.actions += 1;
        await this.page.keyboard.press('Enter');
      }
      if (style !== undefined) {
        this.actions += 1;
        await this.page.keyboard.press(`Alt+${style}`);
      }
      this.actions += 1;
      this.typed.push(words);
      await this.page.keyboard.insertText(words);
    }
    this.actions += 1;
    await this.page.keyboard.press('Escape');
  }

  /** Adds a shape or line by its key, or from the menu of further forms. */
  async shape(key: string, name: string, look: Look): Promise<void> {
    if (key.length === 1) await this.key(key);
    else {
      await this.page.getByRole('toolbar', { name: 'Add to this side' }).getByRole('button', { name: 'More' }).click();
      this.actions += 2;
      await this.page.getByRole('menuitem', { name: key, exact: true }).click();
    }
    await this.say(look, name);
  }

  /** Duplicates the selected text in the same place, with other words. */
  async another(name: string, words: string, look: Look = {}): Promise<void> {
    await this.key('Control+Shift+d');
    await this.key('Enter');
    await this.words(words);
    await this.say(look, name);
  }

  /** Brings in files of the demo world, all at once. */
  async bring(...names: readonly string[]): Promise<void> {
    this.actions += 1;
    const files = await Promise.all(names.map((name) => demoFile(name, '.')));
    const images = this.page.locator('[data-bench] image');
    const before = await images.count();
    await this.page.getByLabel('Pictures, drawings, PDFs and fonts to bring in').setInputFiles(
      files.map(({ name, bytes }) => ({
        name,
        mimeType: name.endsWith('svg') ? 'image/svg+xml' : 'image/jpeg',
        buffer: bytes,
      })),
    );
    const [first = ''] = names;
    if (names.length > 1) await expect(images).toHaveCount(before + names.length);
    else await expect(this.page.getByRole('region', { name: 'Selection' })).toContainText(first);
  }

  /** Divides a box of this side into columns and rows, under a name; what is selected is the box that is divided. */
  async grid(name: string, look: Look): Promise<void> {
    await this.press(/^Divide/);
    const made = this.page.getByRole('group', { name: /^grid \d+$/ });
    await this.write(made.locator('input[name="grid"]'), name);
    for (const [label, value] of Object.entries(look)) {
      const field = this.page.getByRole('group', { name, exact: true });
      if (label !== 'in') {
        await this.write(field.getByRole('textbox', { name: label, exact: true }), String(value));
        continue;
      }
      const box = field.getByRole('combobox', { name: 'in' });
      await this.find(box, String(value));
    }
  }

  /** Opens a part of the yellow sheet. */
  async unfold(part: string): Promise<void> {
    await this.press(new RegExp(`^${part}`));
  }

  /** Writes into the fields of the station Size, and comes back to lay out. */
  async size(fields: Readonly<Record<string, string>>): Promise<void> {
    await this.key('Alt+2');
    for (const [path, value] of Object.entries(fields)) {
      const [label = '', group] = path.split('/').reverse();
      const scope = group === undefined ? this.page : this.page.getByRole('group', { name: group });
      await this.write(scope.getByRole('textbox', { name: label, exact: true }).first(), value);
    }
    await this.key('Alt+3');
  }

  /** Goes to a page, or a cover, in the strip. */
  async toPage(name: string): Promise<void> {
    this.actions += 1;
    await this.page
      .locator('[data-strip]')
      .getByRole('button', { name: new RegExp(`^${name}(,|$)`) })
      .click();
    await expect(this.page.locator('[data-strip] [aria-current=page]')).toHaveAttribute(
      'aria-label',
      new RegExp(`^${name}`),
    );
  }

  /** Pastes text that was copied elsewhere. */
  async paste(text: string): Promise<void> {
    await pasteText(this.page, text);
    this.actions += 1;
    this.typed.push(text);
  }

  /** Adds a table: its rows come from where they were written down. */
  async table(name: string, rows: readonly (readonly string[])[], look: Look): Promise<void> {
    await this.paste(rows.map((row) => row.join('\t')).join('\n'));
    await this.say(look, name);
  }

  /** Chooses cells of the table from its first on, with an arrow held, and sets what they look like. */
  async cells([arrow, times]: readonly [arrow: string, times: number], look: Look): Promise<void> {
    await this.key('Enter');
    for (let i = 0; i < times; i += 1) await this.key(`Shift+${arrow}`);
    await this.set(look);
    await this.key('Escape');
  }

  /** Opens what can be done with pages, does something there, and closes it. */
  private async pages(work: () => Promise<void>): Promise<void> {
    await this.press('Pages');
    await work();
    await this.close();
  }

  /** Adds a base layout under a name, based on another where one is given, and goes to lay it out. */
  async base(name: string, based?: string): Promise<void> {
    await this.pages(() => this.press('Add an empty one'));
    const made = this.page.getByRole('group', { name: /^base layout [A-Z]$/ });
    await this.write(made.getByRole('textbox', { name: /^name/ }), name);
    const layout = this.page.getByRole('group', { name: `base layout ${name}`, exact: true });
    if (based !== undefined) await this.choose(layout.getByRole('combobox', { name: 'based on' }), based);
    await this.press(`Lay out ${name}`);
    await expect(this.page.locator('[data-strip] [aria-current=page]')).toHaveAttribute('aria-label', name);
  }

  /** Lets some pages follow a base layout. */
  async follow(pages: string, layout: string): Promise<void> {
    await this.pages(async () => {
      await this.setOne('page-range', pages);
      await this.setOne('follow', layout);
    });
  }

  /** Lays the rows of a file, with pictures of the demo world, onto spreads from a page on. */
  async fill(
    csv: { readonly name: string; readonly bytes: Buffer },
    pictures: readonly string[],
    look: Readonly<Record<string, string>>,
  ): Promise<void> {
    await this.press('Pages');
    await this.press('Fill pages from CSV');
    const dialog = this.page.getByRole('dialog', { name: 'Fill pages from CSV' });
    this.actions += 2;
    await dialog.getByLabel('Rows, as CSV').setInputFiles({ name: csv.name, mimeType: 'text/csv', buffer: csv.bytes });
    const files = await Promise.all(pictures.map((name) => demoFile(name, '.')));
    await dialog
      .getByLabel('Pictures that the rows name')
      .setInputFiles(files.map(({ name, bytes }) => ({ name, mimeType: 'image/jpeg', buffer: bytes })));
    for (const [label, value] of Object.entries(look)) {
      const field = dialog.locator(`input[name="${label}"]`);
      const choice = dialog.getByRole('combobox', { name: label, exact: true });
      if (await this.isThere(field, choice)) await this.write(field, value);
      else await this.choose(choice, value);
    }
    this.actions += 1;
    await dialog.getByRole('button', { name: 'Lay them out' }).click();
    await expect(dialog).toHaveCount(0);
    await this.close();
  }

  /** Chooses something in a field of the yellow sheet. */
  async setSheet(label: string, option: string): Promise<void> {
    await this.choose(this.page.getByRole('combobox', { name: label, exact: true }), option);
  }

  /** Closes a part of the yellow sheet. */
  async fold(part: string): Promise<void> {
    await this.unfold(part);
  }

  /** Adds a text of several paragraphs: each in its style, or in the one that follows by itself. */
  async story(
    name: string,
    list: readonly (readonly [style: number | undefined, words: string])[],
    look: Look,
  ): Promise<void> {
    await this.key('t');
    await this.paragraphs(list);
    await this.say(look, name);
  }

  /** Adds a measure to the sheet: a length with a name. */
  async measure(name: string, value: string | number): Promise<void> {
    await this.press('Add a measure');
    await this.write(this.page.locator('input[name="name (not used)"]').last(), name);
    await this.write(this.page.locator(`input[name="measure-${name}"]`), String(value));
  }

  /** Brings in drawings or pictures one by one, each with its name and look. */
  async place(file: string, name: string, look: Look): Promise<void> {
    await this.bring(file);
    await this.say(look, name);
  }

  /** Selects the lowest element of this side by its key. */
  async first(): Promise<void> {
    await this.key('Tab');
    await expect(this.page.getByRole('textbox', { name: 'Name', exact: true })).toBeVisible();
  }

  /** Selects elements by their names on the sheet. */
  async select(...names: readonly string[]): Promise<void> {
    for (const [i, name] of names.entries()) {
      this.actions += 1;
      if (i === 1) await this.page.keyboard.down('Shift');
      const rows = this.page.locator('[aria-label="artwork"] button, [role=group] button[aria-pressed]');
      const row = rows.filter({ hasText: new RegExp(`^(⁝ )?${name}$`) });
      await row.click();
      // A key that is pressed before the sheet has followed would act on what was selected before.
      await expect(row).toHaveAttribute('aria-pressed', 'true');
    }
    await this.page.keyboard.up('Shift');
  }

  /** Adds a spot ink to the job, and the build that shows it. */
  async ink(name: string, shown: string, finish: string): Promise<void> {
    await this.key('Alt+4');
    await this.unfold('Spot inks');
    await this.press('Add a spot ink');
    await this.write(this.page.locator('[data-ink="Spot 1"]').getByRole('textbox', { name: /^name/ }), name);
    const made = this.page.locator(`[data-ink="${name}"]`);
    await this.write(made.getByRole('textbox', { name: 'shown as' }), shown);
    await this.choose(made.getByRole('combobox', { name: 'finish' }), finish);
    await this.key('Alt+3');
  }

  /** Adds a line or a coating that follows what is selected, as it is offered then, and sets its fields. */
  async finish(
    adds: 'coat with' | 'line to',
    what: string,
    look: Readonly<Record<string, string>> = {},
    over?: string,
  ): Promise<void> {
    await this.key('Alt+4');
    await this.press(adds === 'coat with' ? 'Coat …' : 'Line …');
    await this.choose(this.page.getByRole('combobox', { name: adds, exact: true }), what);
    if (over !== undefined) await this.choose(this.page.getByRole('combobox', { name: 'over' }), over);
    await this.press(adds === 'coat with' ? 'Coat it' : 'Line it');
    for (const [field, value] of Object.entries(look))
      await this.write(this.page.locator(`input[name="${field}"]`), value);
    await this.key('Alt+3');
  }
}
