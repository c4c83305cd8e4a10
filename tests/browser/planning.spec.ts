import { itemAt } from '@/core/units';
import { expect, type Locator, type Page } from '@playwright/test';
import { expectAccessible } from './accessible';
import { copyOf, expectSaved, openDesk, origin, runtime, storedClass, test } from './desk-page';

/* Planning as an instructor does it: the library, a pasted script, keeping on target, lengths, history, series. With
   CALM_SCREENSHOTS set the pictures go to docs/screenshots. */

const shots = process.env.CALM_SCREENSHOTS;

async function shot(page: Page, name: string): Promise<void> {
  if (shots) await page.screenshot({ animations: 'disabled', path: `${shots}/${name}.png` });
}

const panel = (page: Page) => page.getByRole('complementary', { name: /^Movement: / });
const chooseStep = (page: Page, name: string) =>
  page.getByRole('navigation').getByRole('button', { name, exact: true }).click();

test('the library is searched and narrowed; a movement is made, changed in place, duplicated and archived', async ({
  page,
}) => {
  await page.goto(`${origin()}/library`);
  const found = page.getByRole('main').getByRole('status');
  await expect(found).toHaveText('19 movements');
  await page.getByLabel('Name, other name or tag').fill('standing on');
  await expect(found).toHaveText('1 movement');
  await page.getByLabel('Name, other name or tag').fill('');
  await page.getByLabel('Caution', { exact: true }).selectOption('balance on one leg');
  await expect(found).toHaveText('1 movement');
  await page.getByRole('button', { name: /^Heron on the piling/ }).click();
  await expect(panel(page)).toContainText('A wall or a chair at hand');
  await shot(page, 'library');
  await page.getByRole('button', { name: 'Clear filters' }).click();
  await page.getByLabel('Without cautions').check();
  await page.getByLabel('Part').selectOption('closing');
  await expect(found).toHaveText('1 movement');
  await page.getByRole('button', { name: 'Clear filters' }).click();

  await page.getByRole('button', { name: 'New movement', exact: true }).click();
  await expect(panel(page)).toHaveAccessibleName('Movement: New movement');
  await panel(page).getByRole('textbox', { name: 'Name', exact: true }).fill('Splicing the rope');
  await panel(page).getByLabel('Preferred rounds').fill('5');
  await expect(panel(page).getByRole('status')).toContainText('Saved');
  await panel(page).getByRole('button', { name: 'Duplicate' }).click();
  await expect(panel(page)).toHaveAccessibleName('Movement: Splicing the rope, copy');
  await panel(page).getByRole('button', { name: 'Archive' }).click();
  await expect(found).toHaveText('20 movements');
  await page.getByLabel('Archive').check();
  await expect(found).toHaveText('1 movement, archived');
  await page.reload();
  await expect(page.getByRole('button', { name: /^Splicing the rope/ })).toContainText('5 rounds');
});

test('a breath pattern is shaped by keys and by pointer, with what it means for the breath', async ({ page }) => {
  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: 'New movement', exact: true }).click();
  await expect(panel(page)).toHaveAccessibleName('Movement: New movement');
  const phases = panel(page).getByRole('list', { name: 'Phases of one round' }).getByRole('button');
  await panel(page).getByRole('combobox', { name: 'Start from' }).selectOption('Inhale 4 s, exhale 6 s');
  await expect(phases).toHaveText(['inhale 4.0 s', 'exhale 6.0 s']);
  await expect(panel(page)).toContainText('6.0 breaths a minute here');
  await phases.nth(0).focus();
  await page.keyboard.press('+');
  await expect(phases.nth(0)).toHaveText('inhale 4.2 s');
  await page.keyboard.press('ArrowDown');
  await expect(phases.nth(1)).toBeFocused();
  await page.keyboard.press('Alt+ArrowUp');
  await expect(phases).toHaveText(['exhale 6.0 s', 'inhale 4.2 s']);
  await page.keyboard.press('Alt+ArrowDown');
  await panel(page).getByRole('button', { name: 'Split' }).click();
  await expect(phases).toHaveText(['inhale 4.2 s', 'exhale 3.0 s', 'exhale 3.0 s']);
  await panel(page).getByRole('button', { name: 'Join next' }).click();
  await expect(phases).toHaveText(['inhale 4.2 s', 'exhale 6.0 s']);
  await panel(page).getByRole('group', { name: 'Add a phase' }).getByRole('button', { name: 'hold' }).click();
  await expect(phases).toHaveCount(3);

  // The border between the first two, taken by the pointer: what one gains the other gives.
  const line = panel(page).locator('svg line').first();
  const box = await line.boundingBox();
  if (!box) throw new Error('no border');
  await page.mouse.move(box.x + 60, box.y);
  await page.mouse.down();
  await page.mouse.move(box.x + 60, box.y + 40, { steps: 6 });
  await page.mouse.up();
  const lengths = (await phases.allTextContents()).map((text) => Number(/[\d.]+/.exec(text)?.[0]));
  expect(lengths[0]).toBeGreaterThan(5);
  expect(itemAt(lengths, 0) + itemAt(lengths, 1)).toBeCloseTo(10.2, 1);
  await phases.nth(2).focus();
  await page.keyboard.press('Delete');
  await expect(phases).toHaveCount(2);
  await panel(page).getByLabel('Seconds').fill('30');
  await expect(panel(page)).toContainText('below what is called slow breathing');
});

test('a class takes a movement from the library by typing its name, and is told when the library changes', async ({
  page,
  context,
}) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  const add = page.getByRole('group', { name: 'Add to Main set' });
  await add.getByRole('combobox').fill('bell');
  await page.getByRole('option', { name: /^Bell buoy/ }).click();
  const buoy = page.getByRole('article', { name: 'Bell buoy' });
  await expect(buoy).toContainText('4 rounds per side');
  await expect(buoy).toContainText('In, roll to the left.');
  await expectSaved(page);

  const library = await context.newPage();
  await library.goto(`${origin()}/library`);
  await library.getByRole('button', { name: /^Bell buoy/ }).click();
  await library.getByLabel('Preferred rounds').fill('6');
  await library.getByLabel('On the last round').fill('Once more each side.');
  await expect(library.getByRole('complementary').getByRole('status')).toContainText('Saved');
  await library.close();

  await page.reload();
  await chooseStep(page, 'Bell buoy');
  await page.getByRole('button', { name: 'Show what would change' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row')).toHaveCount(3);
  await dialog.getByLabel('preferred rounds').uncheck();
  await dialog.getByRole('button', { name: 'Use these 1' }).click();
  await expect(page.getByText('The movement in the library has changed')).toHaveCount(0);
  await expectSaved(page);
  const steps = (await storedClass(id)).plan.sections.flatMap((section) => section.steps);
  expect(steps.find((step) => step.name === 'Bell buoy')).toMatchObject({
    preferredRounds: 4,
    lastRoundLine: 'Once more each side.',
  });
});

test('kept on target, each edit refits the rest and leaves what was just set; undo takes both back', async ({
  page,
}) => {
  await openDesk(page, await copyOf('Before the First Ferry'));
  await page.getByLabel('Keep on target').check();
  await chooseStep(page, 'Gulls leaving the wall');
  for (let more = 0; more < 3; more++) await page.getByRole('button', { name: 'Rounds: more' }).click();
  await expect(page.getByRole('article', { name: 'Gulls leaving the wall' })).toContainText('6 rounds');
  await expect(runtime(page)).toContainText('on target');
  await page.getByLabel('Target').first().fill('9:00');
  await page.keyboard.press('Enter');
  await expect(runtime(page)).toContainText('on target');
  await expect(runtime(page)).toContainText('9:00');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Target').first()).toHaveValue('10:00');
  await expect(runtime(page)).toContainText('on target');

  // The lengths are worked out at the same time, and neither waits for the other in vain.
  await page.locator('body').press('l');
  const head = page.getByRole('region', { name: 'Lengths' }).getByRole('columnheader').nth(2);
  await expect(head).toContainText('on target');
  await page.getByLabel('Target').first().fill('9:30');
  await page.keyboard.press('Enter');
  await expect(runtime(page)).toContainText('on target');
  await expect(head).toContainText('on target');
  await page.getByRole('button', { name: 'Back to the timeline' }).click();

  // What cannot be kept is said, and nothing is moved.
  await page.getByLabel('Target').first().fill('1:00');
  await page.keyboard.press('Enter');
  await expect(runtime(page).getByRole('status')).toContainText('1:00 is shorter than this class can be');
});

test('one source, several lengths: an edit reaches all, a cell is pinned, a length becomes a class', async ({
  page,
}) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.keyboard.press('l');
  const table = page.getByRole('region', { name: 'Lengths' }).getByRole('table');
  await expect(table.getByRole('columnheader').nth(2)).toContainText('on target');
  const heron = table.getByRole('row', { name: /^Heron on the piling/ });
  await expect(heron).toContainText('skipped');
  await shot(page, 'lengths');
  await heron.getByRole('button', { name: /in 5 minutes/ }).click();
  await page.getByLabel('Skipped in this length').uncheck();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(heron.getByRole('button', { name: /in 5 minutes: \d.*pinned/ })).toBeVisible();
  await expect(table.getByRole('columnheader').nth(2)).toContainText('on target');
  // Twenty minutes are more than this class can be: they are not offered.
  await expect(page.getByRole('button', { name: '20:00' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Another' }).click();
  await expect(table.getByRole('columnheader')).toHaveCount(5);
  await expect(table.getByRole('columnheader').nth(3)).toContainText('on target');
  await expectSaved(page);
  await page.reload();
  await expect(table.getByRole('columnheader')).toHaveCount(5);
  await page
    .getByRole('group', { name: '5 minutes', exact: true })
    .getByRole('button', { name: 'Save as a class' })
    .click();
  await expect(page.getByRole('heading', { name: /, 5 minutes$/ })).toBeVisible();
  await expect(runtime(page)).toContainText('on target');
});

test('a pasted script shows line by line how it was understood, is put right, and becomes a class', async ({
  page,
}) => {
  await page.goto(`${origin()}/new`);
  await expect(page.getByRole('main').getByRole('button', { name: /^Use / })).toHaveCount(6);
  await shot(page, 'new-class');
  await page.getByRole('button', { name: 'Pasted script' }).click();
  const text = [
    'Slack tide',
    '',
    'Main set',
    '1. Raising the lamp x5',
    '2. Splice the line, 4 each way',
    'Let the arms hang',
    'Closing',
    'Stand quietly for two minutes',
  ].join('\n');
  await page.getByLabel('The script, as you write it').fill(text);
  const lines = page.getByRole('region', { name: 'Lines' }).getByRole('listitem');
  await expect(lines).toHaveCount(7);
  await expect(lines.nth(3)).toContainText('4 rounds, both directions');
  await expect(lines.nth(4)).toContainText('uncertain');
  await expect(page.getByRole('main').getByRole('status')).toContainText('1 line is uncertain');
  await shot(page, 'pasted-script');
  await page.getByLabel('Line 6 is').selectOption('movement');
  await expect(page.getByRole('main').getByRole('status')).toContainText('4 steps');
  await page.reload();
  await expect(page.getByLabel('The script, as you write it')).toHaveValue(text);
  await expect(page.getByLabel('Line 6 is')).toHaveValue('movement');
  await expect(page.getByRole('main').getByRole('status')).toContainText('4 steps');
  await page.getByLabel('Title', { exact: true }).fill('Slack tide, first');
  await page.getByRole('button', { name: 'Create class' }).click();
  await expect(page.getByRole('heading', { name: 'Slack tide, first' })).toBeVisible();
  const articles = page.getByRole('main').getByRole('article');
  await expect(articles).toHaveCount(4);
  await expect(articles.nth(0)).toContainText('Breathe in, and the wrists carry the lamp up.');
  await expect(articles.nth(0)).toContainText('5 rounds');
});

test('uncertain lines are gone through by key, what looks like one follows it, and an edit keeps what was said', async ({
  page,
}) => {
  await page.goto(`${origin()}/new`);
  await page.getByRole('button', { name: 'Pasted script' }).click();
  const text = ['Slack tide', '', 'Arrive', 'Let the arms hang', 'Let the jaw hang', 'Feet under the hips', 'Main', 'Rowing x5', 'Stay there 40 seconds', 'Closing', 'Thank you all.'].join('\n'); // prettier-ignore
  const written = page.getByLabel('The script, as you write it');
  await written.fill(text);
  const status = page.getByRole('main').getByRole('status');
  await expect(status).toContainText('4 lines are uncertain');
  await page.getByRole('button', { name: 'Check uncertain lines' }).click();
  const guess = (number: number): Locator =>
    page.getByRole('group', { name: `Uncertain: line ${number}`, exact: true });
  await expect(guess(4).getByRole('button', { name: 'Yes, said' })).toBeFocused();
  await expectAccessible(page, 'a pasted script with uncertain lines');
  // It is the first of the others; the next guess is looked at, and two lines look like this one.
  await page.keyboard.press('2');
  await expect(page.getByLabel('Line 4 is')).toHaveValue('movement');
  await expect(guess(5).getByRole('button', { name: 'Yes, said' })).toBeFocused();
  await page.getByRole('button', { name: '2 more lines look like line 4: movement too' }).click();
  await expect(page.getByLabel('Line 5 is')).toHaveValue('movement');
  await expect(page.getByLabel('Line 6 is')).toHaveValue('movement');
  await expect(status).toContainText('1 line is uncertain');
  await expect(guess(9).getByRole('button', { name: 'Yes, count or setting' })).toBeFocused();
  await page.keyboard.press('1');
  await expect(status).not.toContainText('uncertain');
  await expect(page.getByRole('button', { name: 'Create class' })).toBeFocused();
  // A line more above all of it, and a reload: each line keeps what was said of it.
  await written.fill(`For the harbour class\n${text}`);
  await expect(page.getByLabel('Line 6 is')).toHaveValue('movement');
  await expect(page.getByLabel('Line 10 is')).toHaveValue('setting');
  await page.reload();
  await expect(page.getByLabel('Line 7 is')).toHaveValue('movement');
  await expect(guess(10)).toHaveCount(0);
});

test('a class told in one line is shown with a line for each sentence, and that is undone', async ({ page }) => {
  await page.goto(`${origin()}/new`);
  await page.getByRole('button', { name: 'Pasted script' }).click();
  const told = 'Tuesday on the quay we start with shaking for two minutes then rowing eight times each side and then the tide comes in six times and tell them not to lock the knees and then we stand still for three minutes'; // prettier-ignore
  const written = page.getByLabel('The script, as you write it');
  await written.fill(told);
  const lines = page.getByRole('region', { name: 'Lines' }).getByRole('listitem');
  await expect(lines).toHaveCount(1);
  await page.getByRole('button', { name: 'One sentence per line', exact: true }).click();
  await expect(lines).toHaveCount(6);
  await expect(lines.nth(2)).toContainText('8 rounds, alternating');
  await expect(page.getByLabel('Line 5 is')).toHaveValue('said');
  await page.getByLabel('Line 5 is').selectOption('caution');
  await expectAccessible(page, 'a class told in one line, broken up');
  await page.getByRole('button', { name: 'Undo one sentence per line' }).click();
  await expect(written).toHaveValue(told);
  await expect(lines).toHaveCount(1);
  await page.getByRole('button', { name: 'One sentence per line', exact: true }).click();
  await written.pressSequentially('\nThen we bow.');
  await expect(lines).toHaveCount(7);
  await expect(page.getByRole('button', { name: 'Undo one sentence per line' })).toHaveCount(0);
});

test('a class is begun from a template; stances that do not meet are given a transition', async ({ page }) => {
  await page.goto(`${origin()}/new`);
  await page.getByRole('button', { name: 'Use Twenty-minute evening' }).click();
  await expect(runtime(page)).toContainText('on target');
  const proposed = page.getByRole('button', { name: /^Add a transition/ });
  await expect(proposed).toHaveCount(1);
  await proposed.click();
  await expect(proposed).toHaveCount(0);
  await expect(page.getByRole('article', { name: 'Left foot forward' })).toBeVisible();
});

test('saved states are told by day, opened, and restored as a new save', async ({ page }) => {
  const id = await copyOf('Eight-Section Set');
  await openDesk(page, id);
  await chooseStep(page, 'Looking back');
  await page.getByRole('button', { name: 'Rounds per side: more' }).click();
  await expectSaved(page);
  const before = (await storedClass(id)).revision;
  await page.getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('region', { name: 'Today' })).toContainText('Looking back: 3 rounds became 4');
  await page
    .getByRole('button', { name: /^Open the version/ })
    .first()
    .click();
  await expect(page.getByRole('complementary', { name: 'Saved version' })).toContainText('Looking back');
  const version = page.getByRole('complementary', { name: 'Saved version' });
  await page.getByText('Every version').click();
  await page.getByRole('button', { name: /version 1$/ }).click();
  await expect(version.getByRole('region', { name: 'Compared with now' })).toContainText('3 rounds became 4');
  await version.getByLabel('Name of this version').fill('Before the fourth round');
  await version.getByRole('button', { name: 'Save name' }).click();
  await expect(page.getByRole('list', { name: 'Named versions' })).toContainText('Before the fourth round');
  await page.getByRole('button', { name: 'Restore this version' }).click();
  await expect(runtime(page)).toBeVisible();
  const after = await storedClass(id);
  expect(after.revision).toBe(before + 1);
  await expect(page.getByRole('article', { name: 'Looking back' })).toContainText('3 rounds per side');
});

test('several steps are chosen together and moved to another section', async ({ page }) => {
  await openDesk(page, await copyOf('Evening Ebb'));
  await chooseStep(page, 'Raising the lamp');
  await page
    .getByRole('navigation')
    .getByRole('button', { name: 'Hauling the slow net', exact: true })
    .click({ modifiers: ['Shift'] });
  const chosen = page.getByRole('complementary', { name: 'Chosen steps' });
  await expect(chosen).toContainText('4 steps chosen');
  await chosen.getByLabel('Move to').selectOption('Settling');
  await expect(page.getByRole('region', { name: 'Settling' }).getByRole('article')).toHaveCount(5);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('region', { name: 'Settling' }).getByRole('article')).toHaveCount(1);
});

test('a series has its own row; the next class starts from its last', async ({ page }) => {
  await page.goto(origin());
  await page.getByRole('button', { name: 'More for Evening Ebb', exact: true }).click();
  await page.getByRole('button', { name: 'Series…' }).click();
  await page.getByLabel('New series').fill('Evenings');
  await page.getByRole('button', { name: 'Create series' }).click();
  const evenings = page.getByRole('region', { name: 'Series: Evenings' });
  await expect(evenings.getByRole('listitem')).toHaveCount(1);
  await evenings.getByRole('button', { name: 'New class from the last' }).click();
  await expect(page.getByRole('heading', { name: 'Evening Ebb 2' })).toBeVisible();
  await page.goto(origin());
  await expect(evenings.getByRole('listitem')).toHaveCount(2);
  await evenings.getByRole('button', { name: 'More for Evening Ebb 2' }).click();
  await page.getByRole('button', { name: 'Move up' }).click();
  await expect(evenings.getByRole('listitem').first()).toContainText('Evening Ebb 2');
  await page.reload();
  await expect(evenings.getByRole('listitem').first()).toContainText('Evening Ebb 2');
  await evenings.getByRole('button', { name: 'More for the series Evenings' }).click();
  await page.getByRole('button', { name: 'Ungroup series…' }).click();
  const question = page.getByRole('dialog', { name: 'Ungroup the series Evenings?' });
  await question.getByRole('button', { name: 'Cancel' }).click();
  await expect(evenings.getByRole('listitem')).toHaveCount(2);
  await evenings.getByRole('button', { name: 'More for the series Evenings' }).click();
  await page.getByRole('button', { name: 'Ungroup series…' }).click();
  await question.getByRole('button', { name: 'Ungroup' }).click();
  await expect(evenings).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(evenings.getByRole('listitem').first()).toContainText('Evening Ebb 2');
  await evenings.getByRole('button', { name: 'More for the series Evenings' }).click();
  await page.getByRole('button', { name: 'Ungroup series…' }).click();
  await question.getByRole('button', { name: 'Ungroup' }).click();
  await expect(evenings).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Evening Ebb 2', exact: true })).toBeVisible();
});

test('a movement open in two tabs is never overwritten; what is typed without a connection is kept', async ({
  page,
  context,
}) => {
  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: /^Rowing home/ }).click();
  const other = await context.newPage();
  await other.goto(`${origin()}/library`);
  await other.getByRole('button', { name: /^Rowing home/ }).click();
  // Open in both before either changes: what is opened after a save is simply newer.
  await expect(panel(other)).toBeVisible();
  await panel(page).getByLabel('Preferred rounds').fill('4');
  await expect(panel(page).getByRole('status')).toContainText('Saved');
  await panel(other).getByLabel('At the change of side').fill('Turn about.');
  await expect(panel(other).getByRole('alert')).toContainText('Both versions are safe');
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expect(panel(other).getByRole('status')).toContainText('Saved');

  await other.route('**/api/movements/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await panel(other).getByLabel('At the change of side').fill('Turn the oars about.');
  await expect(panel(other).getByRole('status')).toContainText('No connection');
  await other.close();
  const again = await context.newPage();
  await again.goto(`${origin()}/library`);
  await again.getByRole('button', { name: /^Rowing home/ }).click();
  await expect(panel(again).getByLabel('At the change of side')).toHaveValue('Turn the oars about.');
  await expect(panel(again).getByRole('status')).toContainText('Saved');
  await again.reload();
  await expect(panel(again).getByLabel('At the change of side')).toHaveValue('Turn the oars about.');
});
