import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, type Page } from '@playwright/test';
import { copyOf, expectSaved, openDesk, origin, ownFolder, runtime, saveBehind, storedClass, test } from './desk-page';

/* For each bad thing: a clear message where the person is looking, nothing changed, nothing lost. */

const take = (ending: string): string =>
  fileURLToPath(new URL(`../../demo/take/before-the-first-ferry${ending}`, import.meta.url));
const folder = ownFolder();

function ffmpeg(name: string, ...options: string[]): string {
  const out = join(folder, name);
  execFileSync('ffmpeg', ['-v', 'error', '-y', ...options, out]);
  return out;
}

const file = (name: string, text: string | Buffer) => ({
  name,
  mimeType: 'application/octet-stream',
  buffer: Buffer.from(text),
});

test('a plan file that is none is refused in words, and no class is made', async ({ page }) => {
  await page.goto(origin());
  await expect(page.locator('[data-class-link]').nth(5)).toBeVisible();
  const rows = await page.locator('[data-class-link]').count();
  const cases: [string, string | Buffer, string][] = [
    ['empty.json', '', 'The file is empty.'],
    ['cut.json', '{"format": "calm-count/class-pl', 'not readable JSON'],
    ['list.json', '[1, 2, 3]', 'not a class plan'],
    ['newer.json', '{"format": "calm-count/class-plan", "version": 99}', 'newer version'],
    ['picture.json', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0]), 'not readable JSON'],
    [
      'letter.doc',
      Buffer.from([0xd0, 0xcf, 0x11, 0xe0, 0, 0, 0]),
      'Choose a plan (JSON), or a script saved as plain text',
    ],
    ['large.json', Buffer.alloc(3 * 1024 * 1024, 32), 'larger than 2 MB'],
  ];
  await page.goto(`${origin()}/new#file`);
  for (const [name, content, words] of cases) {
    await page.getByLabel('File', { exact: true }).setInputFiles(file(name, content));
    const trouble = page.getByRole('alert');
    await expect(trouble).toContainText(`${name} could not be used. No class was created.`);
    await expect(trouble).toContainText(words);
  }
  await page.goto(origin());
  await expect(page.locator('[data-class-link]')).toHaveCount(rows);
});

test('a script of more steps than a class can have says how far it was read, pasted or as a file', async ({ page }) => {
  const script = Array.from({ length: 1_100 }, (_, at) => `- Rowing the boat ${at}, ${(at % 9) + 2} times`).join('\n');
  await page.goto(`${origin()}/new#file`);
  await page.getByLabel('File', { exact: true }).setInputFiles(file('long.txt', script));
  await expect(page.getByRole('alert')).toContainText('long.txt could not be used. No class was created.');
  await expect(page.getByRole('alert')).toContainText('The text from line 1002 on was not read.');
  await page.getByRole('button', { name: 'Pasted script' }).click();
  const box = page.getByLabel('The script, as you write it');
  await box.fill(script);
  await expect(page.getByRole('alert')).toContainText('The text from line 1002 on was not read.');
  await expect(page.getByRole('main').getByRole('status')).toContainText('More than 1,000 steps');
  await expect(page.getByRole('button', { name: 'Create class' })).toBeDisabled();
  await expect(box).toHaveValue(script);
  await box.fill(script.split('\n').slice(0, 40).join('\n'));
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Create class' })).toBeEnabled();
});

test('a plan file with one wrong value names its place', async ({ page }) => {
  const { plan } = await storedClass(await copyOf('Net Menders’ Break'));
  await page.goto(`${origin()}/new#file`);
  const bad = JSON.stringify({ ...plan, targetSeconds: -300 });
  await page.getByLabel('File', { exact: true }).setInputFiles(file('negative.json', bad));
  await expect(page.getByRole('alert')).toContainText('targetSeconds: This has to lie between 10 and 14400.');
});

test('absurd numbers stay in their field with the bounds beside them, and are not saved', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  const before = await storedClass(id);
  const breath = page.getByLabel('Breath at the start');
  for (const value of ['-3', '0', '1e9', 'NaN', 'slow', '']) {
    await breath.fill(value);
    await expect(page.getByRole('alert').first()).toContainText('2 to 40');
    await expect(breath).toHaveValue(value);
  }
  await breath.press('Escape');
  const target = page.getByLabel('Target').first();
  for (const value of ['soon', '0:01', '99:99:99', '-10:00']) {
    await target.fill(value);
    await expect(page.getByRole('alert').first()).toContainText('As m:ss');
  }
  await target.press('Escape');
  await page.waitForTimeout(1000);
  expect(await storedClass(id)).toEqual(before);
});

test('titles and lines of any text are kept as text; what is too long is said and kept in its field', async ({
  page,
}) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  const odd = 'a --> b <script>document.title = "owned"</script> 🌊 مرحبا بكم';
  await page.getByLabel('Title').fill(odd);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(odd);
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(odd);
  expect(await page.title()).not.toBe('owned');

  await page.getByLabel('Title').fill('x'.repeat(10_000));
  await expect(page.getByRole('alert')).toContainText('10000 characters; at most 200. Not saved.');
  await expect(page.getByLabel('Title')).toHaveValue('x'.repeat(10_000));
  await page.getByLabel('Title').fill('');
  await expect(page.getByRole('alert')).toContainText('Needed');
  await expectSaved(page);
  expect((await storedClass(id)).plan.title).toBe(odd);

  await page.getByRole('navigation').getByRole('button', { name: 'Put the needle down', exact: true }).click();
  const line = page.getByPlaceholder('What is said').first();
  await line.fill('in '.repeat(4000));
  await expect(page.getByRole('alert')).toContainText('at most 2000. Not saved.');
  await line.fill(odd);
  await expectSaved(page);
  await page.getByRole('button', { name: 'Publish' }).click();
  await page.getByRole('button', { name: 'Show Captions (WebVTT)' }).click();
  await expect(page.getByLabel('The file')).toContainText('a --&gt; b');
});

test('a bare number for a target is minutes, and is shown as it is understood', async ({ page }) => {
  const id = await copyOf('Net Menders’ Break');
  await openDesk(page, id);
  const target = page.getByRole('region', { name: 'Runtime' }).getByLabel('target', { exact: true });
  await target.fill('20');
  await expect(page.getByRole('region', { name: 'Runtime' })).toContainText('= 20:00');
  await target.press('Enter');
  await expect(target).toHaveValue('20:00');
  await target.fill('90 s');
  await expect(page.getByRole('region', { name: 'Runtime' })).toContainText('= 1:30');
});

test('a target shorter than any fit is told with the shortest and the longest', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await openDesk(page, id);
  await page.getByLabel('Target').first().fill('0:30');
  await page.keyboard.press('Enter');
  await expect(runtime(page)).toContainText('over target');
  await page.getByRole('button', { name: 'Fit to 0:30' }).click();
  await expect(page.getByRole('dialog')).toContainText('0:30 is shorter than this class can be: the shortest is 2:22.');
  await expect(page.getByRole('dialog').getByText('Allow a breath of 4.0 s')).toBeVisible();
});

async function bring(
  page: Page,
  what: 'sound' | 'captions',
  content: Parameters<ReturnType<Page['getByLabel']>['setInputFiles']>[0],
): Promise<void> {
  await page
    .getByLabel(what === 'sound' ? 'Sound or video' : 'Captions, text with times, or the prompter’s log')
    .setInputFiles(content);
  await page.getByRole('button', { name: 'Analyse the take' }).click();
}

/** The first three sections of the class that the demo take is of: fewer lines to learn the sound of. */
async function openingOfFerry(): Promise<string> {
  const id = await copyOf('Before the First Ferry');
  await saveBehind(id, (plan) => ({
    ...plan,
    sections: plan.sections.map((section, at) =>
      at < 3 ? section : { ...section, steps: section.steps.map((step) => ({ ...step, skipped: true })) },
    ),
  }));
  return id;
}

test('bad captions and bad sound are refused in words, and no take is kept', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${id}/takes`);
  await page.getByRole('button', { name: 'Analyse the take' }).click();
  await expect(page.getByRole('alert')).toContainText('Choose a recording, captions, a log, or several of these.');

  const captions: [string, string | Buffer, string][] = [
    ['empty.vtt', '', 'The file is empty.'],
    ['words.srt', 'only words here', 'No captions could be found'],
    ['sound.vtt', readFileSync(take('.webm')).subarray(0, 5000), 'not a text file'],
    ['many.vtt', `WEBVTT\n\n${'00:01.000 --> 00:02.000\nin\n\n'.repeat(20_001)}`, 'more than 20000 captions'],
    ['large.vtt', Buffer.alloc(17 * 1024 * 1024, 97), 'larger than 8 MB'],
  ];
  for (const [name, content, words] of captions) {
    await bring(page, 'captions', file(name, content));
    await expect(page.getByRole('alert')).toContainText(words);
    await expect(page.getByRole('alert')).toContainText('Nothing was changed.');
  }
  await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles([]);

  const picture = ffmpeg('picture.mp4', '-f', 'lavfi', '-i', 'color=c=gray:s=64x64:d=1', '-an', '-pix_fmt', 'yuv420p');
  const silent = ffmpeg('silent.wav', '-f', 'lavfi', '-i', 'anullsrc=r=16000:cl=mono', '-t', '8');
  const long = ffmpeg('long.flac', '-f', 'lavfi', '-i', 'anullsrc=r=8000:cl=mono', '-t', '14500');
  const sounds: [Parameters<typeof bring>[2], string][] = [
    [file('empty.wav', ''), 'The file is empty.'],
    [file('text.mp3', 'this is no sound at all, only a text that says so'), 'could not be read as sound or video'],
    [picture, 'The file has no sound track.'],
    [long, 'The recording is longer than four hours.'],
    [silent, 'No speech could be found'],
  ];
  for (const [content, words] of sounds) {
    await bring(page, 'sound', content);
    await expect(page.getByRole('alert')).toContainText(words, { timeout: 15_000 });
  }
  await page.reload();
  await expect(page.getByText('No take yet.')).toBeVisible();
});

test('a recording cut short is read as far as it goes, and said so', async ({ page }) => {
  const id = await openingOfFerry();
  await page.goto(`${origin()}/classes/${id}/takes`);
  const wav = ffmpeg('whole.wav', '-i', take('.webm'), '-t', '60', '-ar', '16000');
  const cut = join(folder, 'cut.wav');
  writeFileSync(cut, readFileSync(wav).subarray(0, 900_000));
  await bring(page, 'sound', cut);
  const dialog = page.getByRole('dialog', { name: 'Analysed, with notes' });
  await expect(dialog).toContainText('broken or cut short', { timeout: 60_000 });
  await dialog.getByRole('link', { name: 'Open the take' }).click();
  await expect(page.getByLabel('Figures of the take')).toContainText('0:28');
});

test('odd captions are read, and each oddity is told', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${id}/takes`);
  const text = `\uFEFF${readFileSync(take('.vtt'), 'utf8').replace('WEBVTT\n', '').replaceAll('\n', '\r\n').replace('00:00:01.255', '00:01,255')}`;
  await bring(page, 'captions', file('odd.vtt', text));
  const dialog = page.getByRole('dialog', { name: 'Analysed, with notes' });
  await expect(dialog).toContainText('byte order mark');
  await expect(dialog).toContainText('The hours are missing in a time.');
  await dialog.getByRole('link', { name: 'Open the take' }).click();
  await expect(page.getByLabel('Figures of the take')).toContainText('84 of 86');
});

test('a take can be cancelled while it is read', async ({ page }) => {
  const id = await copyOf('Before the First Ferry');
  await page.goto(`${origin()}/classes/${id}/takes`);
  const long = ffmpeg('long.wav', '-stream_loop', '5', '-i', take('.webm'), '-ac', '1', '-ar', '16000');
  await bring(page, 'sound', long);
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Analyse the take' })).toBeVisible();
  await page.reload();
  await expect(page.getByText('No take yet.')).toBeVisible();
});

test('sound alone is heard: ten lines of the first 70 s', async ({ page }) => {
  const id = await openingOfFerry();
  await page.goto(`${origin()}/classes/${id}/takes`);
  await bring(page, 'sound', ffmpeg('take.wav', '-i', take('.webm'), '-t', '70'));
  await expect(page.getByLabel('Figures of the take')).toContainText('1:10', { timeout: 60_000 });
  const said = Number(/said(\d+) of/.exec((await page.getByLabel('Figures of the take').textContent()) ?? '')?.[1]);
  expect(said).toBeGreaterThanOrEqual(7);
  expect(said).toBeLessThanOrEqual(11);
});

/* Every kind of file, and files that are odd, all made by ffmpeg: each is as long and as loud as the sound it was made of.
   Words are brought beside it, so that the voice need not be learned each time. */
const KINDS: readonly (readonly [name: string, ...options: string[]])[] = [
  ['take.mp3', '-b:a', '48k'],
  ['take.m4a', '-c:a', 'aac', '-b:a', '64k'],
  ['take.webm', '-c:a', 'copy'],
  ['take.mp4', '-f', 'lavfi', '-i', 'color=c=gray:s=64x64:r=5', '-shortest', '-c:a', 'aac', '-b:a', '64k'],
  ['take.mov', '-f', 'lavfi', '-i', 'color=c=gray:s=64x64:r=5', '-shortest', '-c:a', 'aac', '-b:a', '64k'],
  ['vorbis.webm', '-c:a', 'libvorbis'],
  ['take.flac', '-sample_fmt', 's16'],
  ['take.ogg', '-c:a', 'libvorbis'],
  ['variable.mp3', '-q:a', '6'],
  ['narrow.wav', '-ar', '8000'],
  ['wide.flac', '-ar', '96000', '-af', 'pan=5.1|FC=c0'],
];

test('every kind of file is heard, as long and as loud as it is', async ({ page }) => {
  test.setTimeout(400_000);
  const id = await openingOfFerry();
  for (const [name, ...options] of KINDS) {
    await page.goto(`${origin()}/classes/${id}/takes`);
    await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles(take('.vtt'));
    await bring(page, 'sound', ffmpeg(name, '-i', take('.webm'), ...options, '-t', '12'));
    await heardAsItIs(page, name);
  }
});

test('a file with another ending, one with junk before its sound, and one cut short are heard; what has lost its index is not', async ({
  page,
}) => {
  test.setTimeout(200_000);
  const id = await openingOfFerry();
  const sound = ffmpeg('plain.mp3', '-i', take('.webm'), '-t', '12', '-b:a', '64k');
  const junk = join(folder, 'junk.mp3');
  writeFileSync(junk, Buffer.concat([Buffer.alloc(3000, 'not sound '), readFileSync(sound)]));
  const renamed = join(folder, 'renamed.wav');
  writeFileSync(renamed, readFileSync(ffmpeg('real.m4a', '-i', take('.webm'), '-t', '12', '-c:a', 'aac')));
  for (const path of [junk, renamed]) {
    await page.goto(`${origin()}/classes/${id}/takes`);
    await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles(take('.vtt'));
    await bring(page, 'sound', path);
    await heardAsItIs(page, path);
  }
  const options = ['-i', take('.webm'), '-t', '30', '-c:a', 'aac'];
  const front = ffmpeg('front.mp4', ...options, '-movflags', '+faststart');
  const back = ffmpeg('back.mp4', ...options);
  for (const path of [front, back]) writeFileSync(path, readFileSync(path).subarray(0, 150_000));
  await page.goto(`${origin()}/classes/${id}/takes`);
  await bring(page, 'sound', back);
  await expect(page.getByRole('alert')).toContainText('its index is missing', { timeout: 15_000 });
  await page.getByLabel('Captions, text with times, or the prompter’s log').setInputFiles(take('.vtt'));
  await bring(page, 'sound', front);
  await expect(page.getByRole('dialog', { name: 'Analysed, with notes' })).toContainText('broken or cut short', {
    timeout: 60_000,
  });
});

/** The first twelve seconds of the demo take, as ffmpeg's `ebur128` measures them. */
const LOUDNESS = -26.8;

/** As long and as loud as the sound it was made of. */
async function heardAsItIs(page: Page, name: string): Promise<void> {
  await expect(page.getByLabel('Figures of the take'), name).toContainText(/actual0:(12|13)/, { timeout: 60_000 });
  await page.getByRole('button', { name: 'Report', exact: true }).click();
  const told = (await page.getByRole('region', { name: 'The sound' }).textContent()) ?? '';
  const loudness = Number(/whole(-?[\d.]+) LUFS/.exec(told)?.[1]);
  expect(Math.abs(loudness - LOUDNESS), `${name}: ${loudness} LUFS`).toBeLessThan(1);
}
