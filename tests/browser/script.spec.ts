import { itemAt } from '@/core/units';
import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { formOn } from '@/core/movement';
import { copyOf, expectSaved, openDesk, origin, storedClass, test } from './desk-page';

/* What is said: the checks, forms and fades on the strip, tokens, style, themes, find and replace, the cue sheet, the
   printed script. With CALM_SCREENSHOTS set the pictures go to docs/screenshots. */

const shots = process.env.CALM_SCREENSHOTS;

async function shot(page: Page, name: string): Promise<void> {
  if (shots) await page.screenshot({ path: `${shots}/${name}.png` });
}

const checks = (page: Page) => page.getByRole('complementary', { name: 'Checks' });
const chooseStep = (page: Page, name: string) =>
  page.getByRole('navigation').getByRole('button', { name, exact: true }).click();
const strip = (page: Page, step: string) => page.getByRole('article', { name: step, exact: true });

test('the checks name each fault with its place; a fix puts it right, and undo takes the fix back', async ({
  page,
}) => {
  const id = await copyOf('Storm Day Indoors');
  await openDesk(page, id);
  await expect(page.getByRole('button', { name: 'Checks 12' })).toBeVisible();
  await page.keyboard.press('c');
  const must = checks(page).getByRole('region', { name: 'Must fix' });
  await expect(must.getByRole('listitem')).toHaveCount(5);
  await shot(page, 'checks');
  const long = must.getByRole('listitem').filter({ hasText: 'Line longer than its breath' });
  await expect(long).toContainText('5.3 s after the next cue is due');
  await long.getByRole('button', { name: 'Raising the lamp' }).click();
  await expect(strip(page, 'Raising the lamp')).toBeInViewport();
  await long.getByRole('button', { name: 'Fit the words of this movement' }).click();
  await expect(must.getByRole('listitem')).toHaveCount(4);
  await page.keyboard.press('Control+z');
  await expect(must.getByRole('listitem')).toHaveCount(5);
  await must
    .getByRole('listitem')
    .filter({ hasText: 'forward bend” comes after' })
    .getByRole('button', { name: 'Say it before the movement' })
    .click();
  await expect(strip(page, 'Setting down the nets')).toContainText('stay upright if you have been told not to bend');
  await expectSaved(page);
});

test('a finding is set aside with a reason, which is kept over a reload, and taken up again', async ({ page }) => {
  const id = await copyOf('Storm Day Indoors');
  await openDesk(page, id);
  await page.getByRole('button', { name: 'Checks 12' }).click();
  const thanks = checks(page).getByRole('listitem').filter({ hasText: 'No thanks' });
  await thanks.getByRole('button', { name: 'Dismiss No thanks' }).click();
  await page.getByLabel('Why “No thanks” is dismissed').fill('I thank them at the door.');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Checks 11' })).toBeVisible();
  await expectSaved(page);
  await page.reload();
  const aside = checks(page).getByRole('region', { name: 'Dismiss' });
  await expect(aside).toContainText('I thank them at the door.');
  await aside.getByRole('button', { name: 'Reopen No thanks' }).click();
  await expect(page.getByRole('button', { name: 'Checks 12' })).toBeVisible();
});

test('forms are chosen on the strip and held; fitting the words leaves what fits and says so', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Raising the lamp');
  const lamp = strip(page, 'Raising the lamp');
  await lamp.getByLabel('Words of round 2', { exact: true }).selectOption('full');
  await expect(lamp.getByLabel('Words of round 2, locked')).toHaveValue('full');
  await expect(lamp.getByText('Breathe in, and the wrists carry the lamp up.')).toHaveCount(2);
  await page.getByRole('combobox', { name: 'Presets' }).selectOption('silent after two');
  await page.getByRole('combobox', { name: 'Presets' }).scrollIntoViewIfNeeded();
  await page.getByRole('button', { name: 'Fit the words', exact: true }).click();
  // All that is said ends in time: nothing is made longer or shorter.
  await expect(page.getByText('Every line fits its breath. Nothing changed.')).toBeVisible();
  await expectSaved(page);
  const { plan } = await storedClass(id);
  const step = itemAt(itemAt(plan.sections, 3).steps, 0);
  expect(step.kind === 'movement' && step.fadePins).toEqual([2]);
  expect(step.kind === 'movement' && formOn(step.fade, 2)).toBe('short');
});

test('a token is picked while typing, by keys alone; an unknown one is told where it stands', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Heron on the piling');
  const naming = page.getByLabel('Naming line');
  await naming.click();
  await page.keyboard.type('Now {mo');
  await expect(page.getByRole('listbox', { name: 'Placeholders' })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.type(' to the {oth');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Tab');
  await expect(naming).toHaveValue('Now {movement} to the {other side}');
  await expect(strip(page, 'Heron on the piling')).toContainText('Now Heron on the piling to the right');
  // Keys as fast as they come: the caret is behind what was picked before the next frame.
  await naming.fill('');
  await naming.evaluate(async (field: HTMLTextAreaElement) => {
    const press = (key: string): void => {
      field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
    };
    const type = (text: string): void => {
      field.setRangeText(text, field.selectionStart, field.selectionEnd, 'end');
      field.dispatchEvent(new InputEvent('input', { data: text, bubbles: true }));
    };
    type('Now { and rest');
    field.setSelectionRange('Now {'.length, 'Now {'.length);
    type('mo');
    await new Promise((done) => setTimeout(done));
    press('Enter');
    type(', softly,');
  });
  await expect(naming).toHaveValue('Now {movement}, softly, and rest');
  await naming.fill('Now {movment}');
  await expect(page.getByRole('alert')).toHaveText('{movment} stands for nothing');
  await naming.fill('');
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('the style change what is said; the guide tells which side to move and which word to say', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const inspector = page.getByRole('complementary', { name: 'The class' });
  await inspector.getByRole('combobox', { name: 'Counting' }).selectOption('up from one');
  await expect(strip(page, 'Raising the lamp')).toContainText('One. Breathe in, and the wrists carry the lamp up.');
  await inspector.getByRole('combobox', { name: 'Sides' }).selectOption('marks in the room');
  await inspector.getByLabel('What stands at their left').fill('window');
  await inspector.getByLabel('What stands at their right').fill('stove');
  await expect(strip(page, 'Turning the lighthouse')).toContainText('turn the light to the window.');
  await expectSaved(page);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await page.keyboard.press('Space');
  const count = page.getByTestId('count');
  const line = page.getByTestId('line-now');
  const until = async (key: string, words: string): Promise<void> => {
    await expect(async () => {
      if (!(await line.textContent())?.includes(words)) await page.keyboard.press(key);
      await expect(line).toContainText(words, { timeout: 300 });
    }).toPass();
  };
  await until('PageDown', 'Turning the lighthouse');
  await until('ArrowRight', 'to the window');
  await expect(count).toContainText('you move your right, say “window”');
});

test('a theme renames the class as one, and plain names come back', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByRole('button', { name: 'Add a theme' }).click();
  await page.getByText('What “Theme 1” calls things').click();
  await page.getByLabel('Raising the lamp is called').fill('Lifting the lantern');
  await chooseStep(page, 'Raising the lamp');
  await page.getByLabel('Naming line').fill('Next, {movement}.');
  await expect(strip(page, 'Raising the lamp')).toContainText('Next, Lifting the lantern.');
  await page.getByRole('button', { name: 'The whole class' }).click();
  await page.getByRole('combobox', { name: 'Names and pictures' }).selectOption('plain');
  await expect(strip(page, 'Raising the lamp')).toContainText('Next, Raising the lamp.');
});

test('words are found and replaced over the class, seen before they change', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.keyboard.press('w');
  await page.getByRole('textbox', { name: 'Find' }).fill('home');
  await page.getByLabel('Replace with').fill('in');
  await expect(page.getByRole('list', { name: 'What would change' }).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Replace in 2 lines' }).click();
  await expect(strip(page, 'Turning the lighthouse')).toContainText('Breathe out, and bring it in.');
  await page.keyboard.press('Control+z');
  await expect(strip(page, 'Turning the lighthouse')).toContainText('Breathe out, and bring it home.');
});

test('a cue sheet is saved, changed in a spreadsheet, and brought back after a look', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByRole('button', { name: 'Publish' }).click();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save Cue sheet (CSV)' }).click();
  const file = await (await saving).path();
  const sheet = readFileSync(file, 'utf8');
  await page.keyboard.press('Escape');
  await page.keyboard.press('w');
  const bring = async (text: string): Promise<void> =>
    page
      .getByLabel('Choose a cue sheet')
      .setInputFiles({ name: 'cues.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await bring('not,a,cue sheet');
  await expect(page.getByText('This is no cue sheet of Calm Count')).toBeVisible();
  await bring(sheet);
  await expect(page.getByText('The cue sheet has the same lines as the class.')).toBeVisible();
  await bring(sheet.replaceAll('"In, lamp up."', '"In, up it goes."'));
  await expect(page.getByText('The cue sheet changes the words of 1 line.')).toBeVisible();
  await page.getByRole('button', { name: 'Use this line' }).click();
  await expect(strip(page, 'Raising the lamp')).toContainText('In, up it goes.');
});

test('a talk is written as prose with its pauses', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Thanks');
  await page.getByRole('button', { name: 'Edit as prose' }).click();
  await page.getByLabel('Write pauses in brackets').fill('Rest the palms. (6 s) Thank you. Go gently.');
  await page.getByRole('button', { name: 'Use these 3 lines' }).click();
  await expect(strip(page, 'Thanks').getByRole('listitem')).toHaveCount(3);
});

test('the reading script is printed on A4 and Letter, with times, rounds and sides beside the words', async ({
  page,
}) => {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${id}/script`);
  await expect(page.getByRole('heading', { name: 'Before the First Ferry, copy' })).toBeVisible();
  const light = page.getByRole('article', { name: 'Turning the lighthouse' });
  await expect(light).toContainText('1 left (your right)');
  await expect(light).toContainText('Breathe in, turn the light to the left.');
  await shot(page, 'reading-script');
  for (const format of ['A4', 'Letter']) {
    const pages = (await page.pdf({ format })).toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0;
    expect(pages, format).toBeGreaterThan(1);
    expect(pages, format).toBeLessThan(12);
  }
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
});

test('a spelling is chosen for the studio; captions and the printed script follow, the plan stays as written', async ({
  page,
}) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Banking the stove');
  await page.getByLabel('Naming line').fill('Hands to the dantian, the lower belly.');
  await expectSaved(page);
  await page.goto(`${origin()}/terms`);
  const term = page.getByRole('group', { name: /^dantian/ });
  await term.getByLabel('dan tien').check();
  await expect(page.getByRole('status')).toHaveText('Saved');
  await page.goto(`${origin()}/classes/${id}/script`);
  await expect(page.getByText('Hands to the dan tien, the lower belly.')).toBeVisible();
  await openDesk(page, id);
  await expect(strip(page, 'Banking the stove')).toContainText('Hands to the dantian, the lower belly.');
  await page.getByRole('button', { name: 'Publish' }).click();
  await page.getByRole('button', { name: 'Show Captions (WebVTT)' }).click();
  await expect(page.getByLabel('The file')).toContainText('Hands to the dan tien');
  await page.goto(`${origin()}/terms`);
  await term.getByLabel('as written').check();
  await expect(page.getByRole('status')).toHaveText('Saved');
});

test('words kept fitted take a shorter form as a line grows, while it is written on where it stands', async ({
  page,
}) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByRole('checkbox', { name: 'Keep words fitted' }).check();
  const heron = strip(page, 'Heron on the piling');
  await heron.getByRole('button', { name: 'Breathe out, set the foot down softly.' }).first().click();
  const line = page.getByRole('textbox', { name: /^Line at/ });
  await line.press('End');
  await line.pressSequentially(' Take your time with it, and let the whole of the foot come to rest on the floor.');
  await expect(line).toHaveValue(/come to rest on the floor\.$/);
  await line.press('Enter');
  await expect(heron).toContainText('Out, softly down.');
  await expect(heron).not.toContainText('come to rest on the floor');
  await expectSaved(page);
  const { plan } = await storedClass(id);
  const stored = plan.sections.flatMap(({ steps }) => steps).find(({ name }) => name === 'Heron on the piling');
  expect(stored?.kind === 'movement' && formOn(stored.fade, 1)).toBe('short');
  expect(JSON.stringify(stored)).toContain('come to rest on the floor');
});

test('a line may be emptied and written anew without losing its place', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await strip(page, 'Raising the lamp').getByRole('button', { name: 'In, lamp up.' }).first().click();
  const line = page.getByRole('textbox', { name: /^Line at/ });
  await line.fill('');
  await expect(line).toBeFocused();
  await line.pressSequentially('In, and the lamp.');
  await line.press('Enter');
  await expect(strip(page, 'Raising the lamp')).toContainText('In, and the lamp.');
});

test('a movement is told in short: shorter wordings, and nothing taught', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await chooseStep(page, 'Coiling the line');
  const coil = strip(page, 'Coiling the line');
  await expect(coil).toContainText('Slow circles of the shoulders');
  await page.getByRole('combobox', { name: 'Said around the rounds' }).selectOption('short');
  await expect(coil).not.toContainText('Slow circles of the shoulders');
  await page.getByText('Shorter wordings').click();
  await page.getByRole('textbox', { name: 'The last round, in short' }).fill('Last.');
  await expect(coil.getByRole('button', { name: 'Last.', exact: true })).toHaveCount(2);
  await expectSaved(page);
});

test('a term of the studio’s own is added, chosen in a spelling and removed again; one that is taken is refused', async ({
  page,
}) => {
  await page.goto(`${origin()}/terms`);
  await page.getByRole('button', { name: 'Add a term' }).click();
  const spellings = page.getByRole('textbox', { name: 'Spellings, with commas between' });
  await spellings.fill('Qi, energy');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('“Qi” is a spelling of another term already.');
  await expect(spellings).toHaveValue('Qi, energy');
  await spellings.fill('tide stance, tidal stance');
  await page.getByRole('textbox', { name: 'What automatic captions write instead' }).fill('tight stance');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('radio', { name: 'tidal stance' }).check();
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('radio', { name: 'tidal stance' })).toBeChecked();
  await page.getByRole('button', { name: 'Remove tide stance' }).click();
  await expect(page.getByRole('radio', { name: 'tidal stance' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('radio', { name: 'tidal stance' })).toHaveCount(0);
});
