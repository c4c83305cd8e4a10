import { expect, type BrowserContext, type Page } from '@playwright/test';
import { copyOf, expectSaved, openDesk, origin, storedClass, test } from './desk-page';

/* What was typed last, what was done by hand, answers that were lost, lists that were old: on every page that saves. */

const saving = (page: Page): ReturnType<Page['getByRole']> => page.getByRole('banner').getByRole('status');
const AWAY = 'Stored in this browser; the server does not answer';

test('the last letter before a tab is closed is there in the next', async ({ page, context }) => {
  const id = await copyOf('Net Menders’ Break');
  for (const letters of ['a', 'ab', 'abc']) {
    const tab = await context.newPage();
    await openDesk(tab, id);
    await tab.getByLabel('Title').fill(`Last letter ${letters}`);
    await tab.close({ runBeforeUnload: false });
    await openDesk(page, id);
    await expect(page.getByRole('heading', { name: `Last letter ${letters}`, exact: true })).toBeVisible();
    await expectSaved(page);
    await page.goto('about:blank');
  }
  expect((await storedClass(id)).plan.title).toBe('Last letter abc');
});

test('what was typed last outlives a page that crashes', async ({ page, context }) => {
  const id = await copyOf('Net Menders’ Break');
  const doomed = await context.newPage();
  await openDesk(doomed, id);
  await doomed.route('**/api/classes/*', (route) => route.abort());
  await doomed.getByLabel('Title').press('End');
  await doomed.getByLabel('Title').pressSequentially(' typed to the end');
  await doomed.goto('chrome://crash').catch(() => undefined);
  await doomed.close();
  await openDesk(page, id);
  await expect(page.getByRole('heading', { name: 'Net Menders’ Break, copy typed to the end' })).toBeVisible();
});

test('a save whose answer is lost is no conflict, also when typing went on and the page is loaded again', async ({
  page,
}) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  let lost = 2;
  await page.route('**/api/classes/*', async (route) => {
    if (route.request().method() !== 'PUT' || lost-- <= 0) return route.fallback();
    await route.fetch();
    return route.abort();
  });
  await page.getByLabel('Title').fill('Answer lost');
  await expect(saving(page)).toHaveText(AWAY);
  await page.getByLabel('Focus').fill('Typed meanwhile');
  await page.reload();
  await expectSaved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect((await storedClass(id)).plan).toMatchObject({ title: 'Answer lost', focus: 'Typed meanwhile' });
});

test('leaving right after an edit or an undo, the list shows it, by its link and by the way back', async ({ page }) => {
  const id = await copyOf('Net Menders’ Break');
  await page.goto(origin());
  await openDesk(page, id);
  await page.getByLabel('Title').fill('Left at once');
  await page.getByRole('link', { name: 'Classes' }).first().click();
  await expect(page.getByRole('link', { name: 'Left at once', exact: true })).toBeVisible();
  await openDesk(page, id);
  await page.getByLabel('Title').fill('Then taken back');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.goto(origin());
  await expect(page.getByRole('link', { name: 'Left at once', exact: true })).toBeVisible();
  await openDesk(page, id);
  await page.getByLabel('Title').fill('Back by the browser');
  await page.goBack();
  await expect(page.getByRole('link', { name: 'Back by the browser', exact: true })).toBeVisible();
  await expect(async () => expect((await storedClass(id)).plan.title).toBe('Back by the browser')).toPass();
});

test('a step is added by typing, with the caret in the middle, quickly, and in accents', async ({ page }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  const field = page.getByRole('combobox', { name: /^Add a step to/ }).first();
  for (const delay of [0, 20, 60]) {
    await field.fill('');
    await field.pressSequentially('Hauling net', { delay });
    for (let at = 0; at < 3; at++) await field.press('ArrowLeft');
    await field.pressSequentially('the slow ', { delay });
    await expect(field).toHaveValue('Hauling the slow net');
    expect(await field.evaluate((input: HTMLInputElement) => input.selectionStart)).toBe('Hauling the slow '.length);
    await field.press('Backspace');
    await field.press('Home');
    await field.pressSequentially('On ', { delay });
    await expect(field).toHaveValue('On Hauling the slownet');
  }
  // An accent as it is composed from two keys.
  await field.fill('');
  const session = await page.context().newCDPSession(page);
  await session.send('Input.imeSetComposition', { text: '´', selectionStart: 1, selectionEnd: 1 });
  await session.send('Input.insertText', { text: 'é' });
  await field.pressSequentially('tude', { delay: 10 });
  await expect(field).toHaveValue('étude');
  // Leaving the field adds nothing; Enter right behind the last letter takes what was typed.
  await field.press('Tab');
  await field.fill('');
  await field.pressSequentially('Whistling for wind', { delay: 0 });
  await field.press('Enter');
  await expect(field).toHaveValue('');
  await expectSaved(page);
  const names = (await storedClass(id)).plan.sections.flatMap(({ steps }) => steps.map(({ name }) => name));
  expect(names.filter((name) => /étude|slow|Hauling/.test(name))).toEqual([]);
  expect(names).toContain('Whistling for wind');
});

test('the library keeps what is typed while the server is away, over a reload, and tells two tabs apart', async ({
  page,
  context,
}) => {
  await page.goto(`${origin()}/library`);
  await page.getByRole('button', { name: 'New movement' }).click();
  const name = page.getByRole('complementary', { name: /^Movement/ }).getByLabel('Name', { exact: true });
  await name.fill('Splicing a rope');
  const words = page.getByText('Classes that use it keep their own copy');
  await expect(words).toHaveText(/^Saved/);
  await page.route('**/api/movements/*', (route) => route.abort());
  await name.fill('Splicing a wet rope');
  await expect(words).toHaveText(/^No connection/);
  await page.unroute('**/api/movements/*');
  await page.reload();
  await expect(name).toHaveValue('Splicing a wet rope');
  await expect(words).toHaveText(/^Saved/);
  const other = await context.newPage();
  await other.goto(page.url());
  const there = other.getByRole('complementary', { name: /^Movement/ }).getByLabel('Name', { exact: true });
  await there.fill('From the other tab');
  await expect(other.getByText('Classes that use it keep their own copy')).toHaveText(/^Saved/);
  await name.fill('From this tab');
  await expect(page.getByRole('alert')).toContainText('This movement was changed in another window');
  await page.getByRole('button', { name: 'Use the other' }).click();
  await expect(name).toHaveValue('From the other tab');
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('From the other tab was moved to the bin.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('list').getByText('From the other tab').click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByText('From the other tab was moved to the bin.')).toBeVisible();
});

test('spelling keeps what is chosen while the server is away, and tells two tabs apart', async ({ page, context }) => {
  await page.goto(`${origin()}/terms`);
  const other = await context.newPage();
  await other.goto(`${origin()}/terms`);
  await expect(page.getByRole('radio', { name: 'chi', exact: true })).toBeVisible();
  await expect(other.getByRole('radio', { name: 'chi', exact: true })).toBeVisible();
  await context.setOffline(true);
  await page.getByRole('radio', { name: 'chi', exact: true }).check();
  await expect(saving(page)).toHaveText(AWAY);
  await context.setOffline(false);
  await expect(saving(page)).toHaveText('Saved');
  await other.getByRole('radio', { name: 'taiji', exact: true }).check();
  await expect(other.getByRole('alert')).toContainText('changed in another window');
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expect(saving(other)).toHaveText('Saved');
  await page.reload();
  await expect(page.getByRole('radio', { name: 'taiji', exact: true })).toBeChecked();
  // As it was, for the tests that come after.
  const term = page.getByRole('group').filter({ has: page.getByRole('radio', { name: 'taiji', exact: true }) });
  await term.getByRole('radio', { name: 'as written' }).check();
  await expect(saving(page)).toHaveText('Saved');
});

async function demoTake(page: Page): Promise<void> {
  await page.goto(origin());
  await page.getByRole('link', { name: /^Takes of Before the First Ferry: / }).first().click(); // prettier-ignore
  await page.getByRole('link', { name: 'Thursday, a first try' }).click();
  await expect(page.getByRole('button', { name: 'Next most uncertain' })).toBeVisible();
}

test('work by hand on a take outlives a lost server, a crash and a closed tab', async ({ page, context }) => {
  const doomed = await context.newPage();
  await demoTake(doomed);
  const url = doomed.url();
  await doomed.route('**/api/takes/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.fallback(),
  );
  await doomed.getByRole('button', { name: 'Confirm the rest' }).click();
  await expect(saving(doomed)).toHaveText(AWAY);
  await doomed.goto('chrome://crash').catch(() => undefined);
  await doomed.close();
  await page.goto(url);
  await expect(saving(page)).toHaveText('Saved');
  await expect(page.getByRole('button', { name: 'Confirm the rest' })).toBeDisabled();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Confirm the rest' })).toBeDisabled();
});

test('a run of the guide goes on after a reload where it stood, and the next does not overwrite it', async ({
  page,
}) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const perform = async (): Promise<void> => page.getByRole('button', { name: 'Prompter', exact: true }).click();
  await perform();
  await page.keyboard.press('Space');
  await page.keyboard.press('PageDown');
  const line = await page.getByTestId('line-now').textContent();
  await page.waitForTimeout(1_300);
  await page.reload();
  const resume = page.getByRole('button', { name: /^Resume at 0:/ });
  await expect(resume).toBeVisible();
  await resume.click();
  await expect(page.getByRole('button', { name: 'Resume' })).toBeVisible();
  await expect(page.getByTestId('line-now')).toHaveText(line ?? '');
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.keyboard.press('Escape');
  // A second run, under another title: both are there for a take.
  await page.getByLabel('Title').fill('Under another name');
  await expectSaved(page);
  await perform();
  await page.getByRole('button', { name: 'Start' }).click();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('Escape');
  await page.goto(`${origin()}/classes/${id}/takes`);
  await expect(page.getByRole('list', { name: 'Performed in this browser' }).getByRole('button')).toHaveCount(2);
  const another = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${another}/takes`);
  await expect(page.getByRole('list', { name: 'Performed in this browser' })).toHaveCount(0);
});

async function removed(context: BrowserContext, title: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(origin());
  await page
    .getByRole('button', { name: `More for ${title}`, exact: true })
    .first()
    .click();
  await page.getByRole('button', { name: 'Move to the bin' }).click();
  await expect(page.getByText(`${title} was moved to the bin.`)).toBeVisible();
  return page;
}

test('the bin gives back what was removed, and is emptied only after a question', async ({ context }) => {
  const id = await copyOf('Evening Ebb');
  const page = await removed(context, 'Evening Ebb, copy');
  await page.getByRole('button', { name: 'Menu' }).click();
  await page.getByRole('link', { name: 'Bin' }).click();
  const entry = page.getByRole('listitem').filter({ hasText: 'Evening Ebb, copy' });
  await expect(entry).toContainText('30 days left');
  await entry.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText('Evening Ebb, copy was restored.')).toBeVisible();
  expect((await storedClass(id)).plan.title).toBe('Evening Ebb, copy');
  await (await removed(context, 'Evening Ebb, copy')).close();
  await page.reload();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  const question = page.getByRole('dialog', { name: 'Empty the bin?' });
  await question.getByRole('button', { name: 'Cancel' }).click();
  await expect(entry).toBeVisible();
  await page.getByRole('button', { name: 'Empty the bin' }).click();
  await question.getByRole('button', { name: /^Delete/ }).click();
  await expect(page.getByText('The bin is empty.')).toBeVisible();
});

test('a series longer than what a page brings keeps all of its classes when it is renamed at once', async ({
  page,
}) => {
  const send = async <Value>(method: string, path: string, body: unknown): Promise<Value> => {
    const headers = { 'content-type': 'application/json', origin: origin() };
    const answer = await fetch(`${origin()}${path}`, { method, headers, body: JSON.stringify(body) });
    return (await answer.json()) as Value;
  };
  const series = await send<{ id: string; revision: number }>('POST', '/api/series', { title: 'Many evenings' });
  const classIds: string[] = [];
  for (let at = 0; at < 64; at++) {
    const { id } = await send<{ id: string }>('POST', '/api/classes', { from: 'nothing', title: `Evening ${at}` });
    classIds.push(id);
  }
  await send('PUT', `/api/series/${series.id}`, { baseRevision: series.revision, title: 'Many evenings', classIds });
  // The rest of the list comes late; the name is changed before it is here.
  let late: () => void = () => undefined;
  const held = new Promise<void>((done) => (late = done));
  await page.route('**/api/classes?after=*', async (route) => {
    await held;
    await route.continue();
  });
  await page.goto(origin());
  await page.getByRole('button', { name: 'More for the series Many evenings' }).click();
  await page.getByRole('button', { name: 'Rename…' }).click();
  const title = page.getByLabel('Title of the series');
  await title.fill('All the evenings');
  await title.press('Enter');
  late();
  await expect(page.getByRole('region', { name: 'Series: All the evenings' })).toContainText('series of 64');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Series: All the evenings' })).toContainText('series of 64');
  for (const id of classIds)
    await fetch(`${origin()}/api/classes/${id}`, { method: 'DELETE', headers: { origin: origin() } });
  await fetch(`${origin()}/api/series/${series.id}`, { method: 'DELETE', headers: { origin: origin() } });
  await fetch(`${origin()}/api/bin`, { method: 'DELETE', headers: { origin: origin() } });
});
