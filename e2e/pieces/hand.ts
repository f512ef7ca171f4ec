import { expect, type Locator, type Page } from '@playwright/test';
import { demoFile } from '../../src/demo/pictures';
import { open } from '../helpers';

/** What a person writes into the fields of the slip, by the name of each field; `true` ticks a box. */
export type Look = Readonly<Record<string, string | number | boolean>>;

/** What is open above the slip; a list of choices closes by itself. */
const OPENED = '.MuiPopover-root:not(.MuiMenu-root)';

/**
 * A person at the bench: each press of a key or button, each choice and each entry is one action. Nothing can be dragged
 * or nudged with it: what stands somewhere was told where.
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
  }

  private async choose(control: Locator, option: string): Promise<void> {
    this.actions += 2;
    await control.click();
    await this.page.getByRole('option', { name: option, exact: true }).first().click();
    await expect(this.page.getByRole('listbox')).toHaveCount(0);
  }

  /** Begins a job from the gallery: its kind, and what is written or chosen of it. */
  async begin(kind: string, fields: Readonly<Record<string, string>>): Promise<void> {
    await open(this.page, '/');
    await this.press('New job');
    await this.press(kind, 'radio');
    for (const [label, value] of Object.entries(fields)) {
      const field = this.page.getByRole('textbox', { name: label, exact: true });
      if ((await field.count()) > 0) {
        this.actions += 1;
        this.typed.push(value);
        await field.fill(value);
      } else await this.choose(this.page.getByLabel(label, { exact: true }).first(), value);
    }
    await this.press('Begin');
    await expect(this.page.locator('[data-bench]')).toBeVisible();
    await this.key('Alt+3');
    await expect(this.page.getByRole('toolbar', { name: 'Add to this side' })).toBeVisible();
  }

  /** Sets fields of what is selected, or of the part that is open. */
  async set(look: Look): Promise<void> {
    for (const [label, value] of Object.entries(look)) {
      const t = Date.now();
      await this.setOne(label, value);
      if (process.env['YS_PROF']) console.log('set', label, Date.now() - t);
    }
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
    const named = scope.locator(`input[name="${label}"]`);
    if ((await named.count()) > 0) return this.write(named.first(), text);
    const box = scope.getByRole('combobox', { name: label, exact: true });
    if ((await box.evaluate((el) => el.tagName)) !== 'INPUT') return this.choose(box, text);
    await this.find(box, text);
  }

  /** A box is found by typing a part of its name, and taken from what is offered. */
  private async find(box: Locator, name: string): Promise<void> {
    this.actions += 2;
    this.typed.push(name);
    await box.fill(name);
    await this.page.getByRole('option', { name, exact: true }).click();
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
    await this.name(name);
    await this.set(look);
  }

  /** Types into the text that is open for typing. */
  async words(words: string): Promise<void> {
    this.actions += 2;
    this.typed.push(words);
    await this.page.keyboard.press('Control+a');
    await this.page.keyboard.insertText(words);
    await this.page.keyboard.press('Escape');
  }

  /** Adds a shape or line by its key, or from the menu of further forms. */
  async shape(key: string, name: string, look: Look): Promise<void> {
    if (key.length === 1) await this.key(key);
    else {
      await this.press('More');
      this.actions += 1;
      await this.page.getByRole('menuitem', { name: key, exact: true }).click();
    }
    await this.name(name);
    await this.set(look);
  }

  /** Duplicates the selected text in the same place, with other words. */
  async another(name: string, words: string, look: Look = {}): Promise<void> {
    await this.key('Control+Shift+d');
    await this.key('Enter');
    await this.words(words);
    await this.name(name);
    await this.set(look);
  }

  /** Brings in files of the demo world, all at once. */
  async bring(...names: readonly string[]): Promise<void> {
    this.actions += 1;
    const files = await Promise.all(names.map((name) => demoFile(name)));
    const images = this.page.locator('[data-bench] image');
    const before = await images.count();
    await this.page
      .getByLabel('Pictures, drawings, PDFs and fonts to bring in')
      .setInputFiles(files.map(({ name, bytes }) => ({ name, mimeType: name.endsWith('svg') ? 'image/svg+xml' : 'image/jpeg', buffer: bytes }))); // prettier-ignore
    const [first = ''] = names;
    if (names.length > 1) await expect(images).toHaveCount(before + names.length, { timeout: 20_000 });
    else await expect(this.page.getByRole('region', { name: 'Selection' })).toContainText(first, { timeout: 20_000 });
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

  /** Adds a measure to the sheet: a length with a name. */
  async measure(name: string, value: string | number): Promise<void> {
    await this.press('Add a measure');
    await this.write(this.page.locator('input[name="name (not used)"]').last(), name);
    await this.write(this.page.locator(`input[name="measure-${name}"]`), String(value));
  }

  /** Brings in drawings or pictures one by one, each with its name and look. */
  async place(file: string, name: string, look: Look): Promise<void> {
    await this.bring(file);
    await this.name(name);
    await this.set(look);
  }

  /** Holds what is selected against another box on one axis only. */
  async against(axis: 'across' | 'down', box: string): Promise<void> {
    await this.within(/^on /, () => this.set({ [axis]: box }));
  }

  /** Selects elements by their names on the sheet. */
  async select(...names: readonly string[]): Promise<void> {
    for (const [i, name] of names.entries()) {
      this.actions += 1;
      if (i === 1) await this.page.keyboard.down('Shift');
      await this.page.locator('[aria-label="artwork"] button, [role=group] button[aria-pressed]').filter({ hasText: new RegExp(`^(⁝ )?${name}$`) }).click(); // prettier-ignore
    }
    await this.page.keyboard.up('Shift');
  }
}
