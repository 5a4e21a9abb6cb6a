import { test as base, expect, type Page } from '@playwright/test'
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'

const root = resolve(__dirname, '../..')

const freePort = () =>
  new Promise<number>((found) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo
      server.close(() => found(port))
    })
  })

/** A server of one worker's own: the test host with the built front end, on a free port and a data folder that is removed. */
export class Server {
  private process: ChildProcess | undefined
  private readonly data = mkdtempSync(join(tmpdir(), 'wrapper-e2e-'))

  private constructor(
    readonly port: number,
    private readonly demo: boolean,
  ) {}

  get url() {
    return `http://127.0.0.1:${this.port}`
  }

  static async start(demo = true) {
    const server = new Server(await freePort(), demo)
    await server.resume()
    return server
  }

  async resume() {
    this.process = spawn(
      'dotnet',
      [
        join(root, 'tests/Wrapper.TestHost/bin/Release/net10.0/Wrapper.TestHost.dll'),
        '--port',
        String(this.port),
        '--data',
        this.data,
        '--web',
        join(root, 'web/dist'),
        '--longest',
        '120',
        ...(this.demo ? ['--demo'] : []),
      ],
      { stdio: 'inherit' },
    )
    for (let tries = 0; tries < 1200; tries++) {
      if (
        await fetch(`${this.url}/api/health`).then(
          (reply) => reply.ok,
          () => false,
        )
      )
        return
      await new Promise((wait) => setTimeout(wait, 50))
    }
    throw new Error('the server does not answer')
  }

  async kill() {
    const gone = new Promise((exit) => this.process?.once('exit', exit))
    this.process?.kill('SIGKILL')
    await gone
  }

  async stop() {
    await this.kill()
    rmSync(this.data, { recursive: true, force: true })
  }
}

export const test = base.extend<{ room: Page }, { server: Server }>({
  server: [
    async ({}, use) => {
      const server = await Server.start()
      await use(server)
      await server.stop()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ server }, use) => use(server.url),
  // Every page fails its test when it asks anything but this machine, breaks the content policy or throws.
  page: async ({ page }, use) => {
    const wrong: string[] = []
    page.on('request', (request) => {
      const { hostname, protocol } = new URL(request.url())
      if (protocol.startsWith('http') && hostname !== '127.0.0.1') wrong.push(`asked ${request.url()}`)
    })
    page.on('pageerror', (error) => wrong.push(error.message))
    page.on('console', (message) => {
      if (/Content Security Policy|React|act\(/.test(message.text()) && message.type() === 'error')
        wrong.push(message.text())
    })
    await use(page)
    expect(wrong).toEqual([])
  },
})

export { expect }

/** A field by its key, as the server names it; from a full stop on, the end of a key will do. */
export const field = (page: Page, key: string) =>
  page.locator(key.startsWith('.') ? `[data-field$="${key}"]` : `[data-field="${key}"]`)

/** Begins a job with one item by keyboard alone, from the list of jobs. */
export async function begin(page: Page, name: string, unit: 'in' | 'cm' = 'in') {
  await page.goto('/')
  await page.getByLabel('A new job').focus()
  await page.keyboard.type(name)
  if (unit === 'cm') {
    await page.getByText('cm', { exact: true }).click()
    await page.getByLabel('A new job').focus()
  }
  await page.keyboard.press('Enter')
  await expect(page.getByRole('combobox', { name: 'What is covered?' })).toBeFocused()
}

/** A job with one cushion of these sizes, begun by keyboard; the last field is left. */
export async function beginCushion(page: Page, name: string, w: string, l: string, t: string) {
  await begin(page, name)
  await page.keyboard.press('Enter')
  for (const [key, size] of [
    ['W', w],
    ['L', l],
    ['T', t],
  ] as const)
    await field(page, `measures.${key}`).fill(size)
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('to-buy')).toBeVisible()
}

/** Picks what is covered by its drawing. */
export const pick = (page: Page, kind: string) => page.getByRole('option', { name: kind, exact: true }).click()

/** Adds the first item of a job: its kind by its drawing. */
export async function beginItem(page: Page, job: string, kind: string, unit: 'in' | 'cm' = 'in') {
  await begin(page, job, unit)
  await pick(page, kind)
  // The first size has the focus as soon as it is there.
  await expect(page.locator('[data-field^="measures."]:focus')).toBeVisible()
}

/** Takes another way of making it up, on Make-up; it is taken once the button says so. */
export async function makeUp(page: Page, name: string) {
  const school = page.getByRole('region', { name: 'Make-ups' }).getByRole('button', { name: new RegExp(`^${name}`) })
  await school.click()
  await expect(school).toHaveAttribute('aria-pressed', 'true')
}

/** What is known of the cloth in hand, beside its lay; one group of it opened. */
export async function about(page: Page, group?: string) {
  const button = page.getByRole('button', { name: 'About the cloth' })
  if ((await button.getAttribute('aria-expanded')) !== 'true') await button.click()
  if (group === undefined) return
  const summary = page.getByRole('complementary', { name: /^About / }).getByText(group, { exact: true })
  await expect(summary).toBeVisible()
  if (!(await summary.evaluate((at) => at.closest('details')?.open))) await summary.click()
}

/** Opens all that can be chosen on Make-up. */
export async function unfold(page: Page) {
  const answers = page.getByRole('region', { name: 'What can be chosen' })
  await expect(answers.locator('summary').first()).toBeVisible()
  while ((await answers.locator('details:not([open]) > summary').count()) > 0)
    await answers.locator('details:not([open]) > summary').first().click()
}

/** Answers a choice beside the measuring drawing. */
export async function choose(page: Page, name: string | RegExp, option: string) {
  await page.getByRole('combobox', { name, exact: true }).click()
  await page.locator('.ant-select-item-option').getByText(option, { exact: true }).click()
  // While the list closes it takes the next Escape for itself.
  await expect(page.getByRole('combobox', { name, exact: true })).toHaveAttribute('aria-expanded', 'false')
}

/** An alert that says this; others may stand beside it while a plan is on its way. */
export const told = (page: Page, text: string) =>
  expect(page.getByRole('alert').filter({ hasText: text }).first()).toBeVisible()

/** Types sizes on the measuring drawing, and leaves the last. */
export async function measure(page: Page, sizes: Record<string, string>) {
  for (const [key, typed] of Object.entries(sizes)) {
    // What is there only now and then waits behind its name.
    const offer = page.locator(`[data-offer="${key}"]`)
    await expect(field(page, `measures.${key}`).or(offer)).toBeVisible()
    if (await offer.isVisible()) await offer.click()
    await field(page, `measures.${key}`).fill(typed)
  }
  await page.keyboard.press('Escape')
}

/** The cut width of the piece in hand, on Pieces; every seam must match. */
export async function pieces(page: Page, piece: RegExp, size: string, text: string) {
  await page.keyboard.press('Alt+3')
  await page.getByRole('button', { name: piece }).click()
  await expect(page.getByRole('button', { name: new RegExp(`^${size}`) }).first()).toContainText(text)
  await expect(page.getByText(/^(all seams match|this cover has no seams)$/)).toBeVisible()
}

/** One cover by centimetres from the tape to the shop: measured, drafted with this size, laid and bought. */
export async function toTheShop(
  page: Page,
  kind: string,
  sizes: Record<string, string>,
  piece: RegExp,
  size: string,
  text: string,
) {
  await beginItem(page, kind, kind, 'cm')
  await measure(page, sizes)
  await expect(page.getByTestId('to-buy')).toBeVisible()
  await pieces(page, piece, size, text)
  await page.keyboard.press('Alt+5')
  await expect(page.getByText('To buy, rounded up')).toBeVisible()
}

export const saved = (page: Page) => expect(page.getByTestId('saving')).toHaveText(/^Saved/)

/**
 * The sheet that a link opens, as every way out of the house gives it: its file, and its words page by page. What was
 * typed before is saved first, as the link itself sees to it.
 */
export async function printed(page: Page, link: string) {
  const opens = page.getByRole('link', { name: link, exact: true })
  if ((await page.getByTestId('saving').count()) > 0) await saved(page)
  const answer = await page.request.get(new URL((await opens.getAttribute('href')) ?? '', page.url()).href)
  expect(answer.headers()['content-type']).toBe('application/pdf')
  expect(answer.headers()['content-disposition']).toMatch(/^inline.*\.pdf/)
  return read(await answer.body(), link)
}

/** A PDF as a file, and its words page by page. */
export function read(bytes: Buffer, name: string) {
  const pdf = base.info().outputPath(`${name.replace(/\W/g, '-')}.pdf`)
  writeFileSync(pdf, bytes)
  const pages = execFileSync('pdftotext', ['-layout', pdf, '-'], { encoding: 'utf8' }).split('\f').slice(0, -1)
  return { pdf, bytes, pages, text: pages.join('\n') }
}

/** An outline is drawn round a label or card. */
export const line = 0.2

/** The first outline on a page, in millimetres, measured on its picture at ten dots a millimetre. */
export function outline(pdf: string) {
  const image = execFileSync('pdftoppm', ['-gray', '-r', '254', '-f', '1', '-l', '1', pdf], {
    maxBuffer: 64 * 1024 * 1024,
  })
  const head = /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(image.subarray(0, 40).toString('latin1'))!
  const [wide, high, start] = [Number(head[1]), Number(head[2]), head[0].length]
  const dark = (x: number, y: number) => image[start + y * wide + x]! < 128
  // Below the head of the sheet.
  const reach = (from: number, to: number, at: (n: number) => boolean) => {
    let last = from
    for (let n = from; n < to && n - last < 20; n++) if (at(n)) last = n
    return last - from
  }
  for (let y = 185; y < high; y++)
    for (let x = 0; x < wide; x++)
      if (dark(x, y))
        return { wide: reach(x, wide, (n) => dark(n, y)) / 10, high: reach(y, high, (n) => dark(x + 1, n)) / 10 }
  throw new Error('nothing is drawn')
}

/** Another stage of the job, by its link. */
export const goTo = (page: Page, stage: string) =>
  page.getByRole('navigation', { name: 'Stages' }).locator(`a[href$="/${stage}"]`).click()

/** The step in hand, on Make. */
export const turn = (page: Page) => page.locator('[data-turn]')
/** What it says. */
export const step = (page: Page) => turn(page).getByRole('heading', { level: 2 })

/** The checks of a step: the digit of each, and what is to be read there, if anything is. */
export const checks = async (page: Page) =>
  page.locator('[data-check]').evaluateAll((lines) =>
    lines.map((line) => ({
      digit: line.querySelector('kbd')?.textContent ?? '',
      target: /([\d ./]+) in/.exec(line.querySelector('b.finished')?.textContent ?? '')?.[1]?.trim(),
      fields: line.querySelectorAll('[data-verdict] input').length,
    })),
  )

/** Answers everything at a step with digits, figures and Enter, and goes on with space. */
export async function onward(page: Page) {
  const at = await turn(page).getAttribute('data-turn')
  await expect(page.getByRole('button', { name: /^Done, next|^Next/ })).toBeVisible()
  for (const { digit, target, fields } of await checks(page)) {
    await page.keyboard.press(digit)
    if (fields === 0) continue
    for (let n = 0; n < fields; n++) {
      await page.keyboard.type(target ?? '30')
      await page.keyboard.press('Enter')
    }
  }
  await expect(page.locator('[data-check] [data-verdict="open"]')).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Yes', exact: true, pressed: false })).toHaveCount(0)
  await page.keyboard.press('Space')
  await expect(turn(page)).not.toHaveAttribute('data-turn', at ?? '')
}
