import {
  begin,
  beginItem,
  choose,
  expect,
  field,
  makeUp,
  measure,
  pick,
  pieces,
  printed,
  saved,
  test,
  told,
  toTheShop,
  unfold,
} from './workroom'

test('a tapered chair pad: outline by keyboard, stations, ties', async ({ page }) => {
  await beginItem(page, 'Pads', 'Cushion or seat pad')
  await page.getByRole('combobox', { name: 'Outline', exact: true }).focus()
  for (const key of ['Enter', 'ArrowDown', 'ArrowDown', 'Enter']) await page.keyboard.press(key)
  await expect(field(page, 'measures.f1')).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('6 to do')
  await measure(page, { W: '18', B: '14', L: '16', f1: '8', w1: '17', T: '1' })
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Knife-edge pad')
  // 16 + 1 for the slab + 2 x 1/2
  await pieces(page, /1a pad/, 'cut length', '18 in')
  // What she needs to chalk it: corners from the squared edge, the back one as far across as the piece is long.
  const setting = page.getByRole('region', { name: 'Setting out' })
  await expect(setting.getByRole('row', { name: /^1 0 in 0 in 2/ })).toBeVisible()
  await expect(setting.getByRole('row', { name: /^4 .* 18 in/ })).toBeVisible()
  // On paper every piece stands with its figures, and nothing else of the screen.
  const { text } = await printed(page, 'Print the pieces')
  expect(text).toMatch(/1a pad: cut 2, every second one turned over/)
  expect(text).toMatch(/^ *4 .* 18 in/m)
  await page.keyboard.press('Alt+5')
  await page.getByText('How it was reckoned').click()
  await expect(page.getByRole('table', { name: 'Item by item' }).getByRole('row', { name: /tie tape/ })).toContainText(
    '56 in',
  )
  await saved(page)
})

test('a traced seat is taken from a drawing, boxed and checked', async ({ page }) => {
  await beginItem(page, 'Alcove', 'Cushion or seat pad')
  await choose(page, 'Outline', 'Traced')
  await field(page, 'measures.O').fill('0, 0; 10, 10; 10, 0; 0, 10')
  await field(page, 'measures.T').fill('4')
  await expect(page.getByRole('alert').filter({ hasText: 'crosses itself' })).toContainText('For example')
  await page.getByLabel('Drawing, SVG or DXF').setInputFiles({
    name: 'seat.svg',
    mimeType: 'image/svg+xml',
    buffer: Buffer.from('<svg><path d="M0 0 H24 V-18 H16 A6 6 0 0 1 8 -18 H0 Z"/></svg>'),
  })
  await expect(field(page, 'measures.O')).toHaveValue(/^M0 0 H24/)
  await field(page, 'measures.O').focus()
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Separate boxing strip')
  await unfold(page)
  await page.getByRole('radiogroup', { name: 'Strips lie' }).getByText('Either way').click()
  // 24 + 18 + 8 + 12 asin(4/6) + 8 + 18 = 84.757, less Z 13, 1 of seams, 1 1/2 of lap
  await pieces(page, /1c boxing/, 'cut length', '74 1/4 in')
})

test('a template is taken from a photo by the square beside it, and what cannot be followed is told', async ({
  page,
}) => {
  await beginItem(page, 'From a photo', 'Cushion or seat pad')
  await choose(page, 'Outline', 'Traced')
  // Thirty dots an inch: a square of 4 in, and a board of 12 by 9 in.
  const picture = await page.evaluate(() => {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [800, 600]
    const draw = canvas.getContext('2d')!
    for (const [colour, x, y, wide, high] of [
      ['#e8e0d0', 0, 0, 800, 600],
      ['#000', 40, 420, 120, 120],
      ['#603028', 260, 120, 360, 270],
    ] as const) {
      draw.fillStyle = colour
      draw.fillRect(x, y, wide, high)
    }
    return canvas.toDataURL('image/png').split(',')[1] ?? ''
  })
  await page
    .getByLabel('Photo of the template')
    .setInputFiles({ name: 'board.png', mimeType: 'image/png', buffer: Buffer.from(picture, 'base64') })
  const dialog = page.getByRole('dialog', { name: 'A photo of the template' })
  const tap = dialog.getByRole('button', { name: /^on the template/ })
  await tap.focus()
  for (let n = 0; n < 26; n++) await page.keyboard.press('ArrowLeft')
  await dialog.getByRole('button', { name: 'Follow its edge' }).click()
  await expect(dialog.getByRole('alert')).toContainText('runs out of the picture')
  await tap.focus()
  for (let n = 0; n < 26; n++) await page.keyboard.press('ArrowRight')
  await dialog.getByLabel('A side of the square').fill('wide')
  await dialog.getByRole('button', { name: 'Follow its edge' }).click()
  await expect(dialog.getByRole('alert')).toBeVisible()
  await dialog.getByLabel('A side of the square').fill('')
  await dialog.getByRole('button', { name: 'Follow its edge' }).click()
  await expect(dialog.getByRole('status')).toContainText('4 points, 12 in by 9 in')
  await dialog.getByRole('button', { name: 'Take these points' }).click()
  const traced = field(page, 'measures.O')
  await expect(traced).toHaveValue(/^(?=.*\b0, 9\b)(?=.*\b12, 9\b)(?=.*\b12, 0\b)(?=.*\b0, 0\b)/)
  // Corrected by hand, as any outline is.
  await traced.fill((await traced.inputValue()).replaceAll('12', '12 1/4'))
  await field(page, 'measures.T').fill('3')
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Separate boxing strip')
  await pieces(page, /1a/, 'cut width', '13 1/4 in')
})

test('readings that differ are asked for again, and a skewed seat is told', async ({ page }) => {
  await beginItem(page, 'Twice', 'Cushion or seat pad')
  await measure(page, { W: '30', L: '20', T: '4' })
  // " on a size that stands there asks for it a second time; among what is typed it is an inch.
  await field(page, 'measures.W').focus()
  await page.keyboard.press('"')
  await expect(field(page, 'measures.W again')).toBeFocused()
  await field(page, 'measures.W').focus()
  await page.keyboard.press('"')
  await expect(field(page, 'measures.W again')).toBeFocused()
  await field(page, 'measures.W again').pressSequentially('30 1/4"')
  await told(page, 'measure again')
  await field(page, 'measures.W again').fill('30 1/8')
  await expect(page.getByText('read as 30 1/8 in')).toBeVisible()
  await choose(page, 'Check that it is square', 'Both ends, both sides, both diagonals')
  await measure(page, { V: '29 1/2' })
  await expect(page.getByText(/Out of square or tapered: the widths differ by 5\/8 in/)).toBeVisible()
  await page.getByRole('button', { name: 'Notes, parts, photos' }).click()
  await page.getByLabel('In the way, or kept').fill('Hinge at the back')
  // Parts are numbered as they come off, and ticked when they are back on.
  await page.getByRole('button', { name: 'Number another part' }).click()
  await page.getByRole('button', { name: 'Number another part' }).click()
  await page.getByLabel('Part 2', { exact: true }).fill('leg pad, front left')
  await page.getByRole('checkbox', { name: 'back on' }).nth(1).check()
  await page.getByRole('button', { name: 'Strike part 1' }).click()
  await saved(page)
  await page.reload()
  await page.getByRole('button', { name: /^Notes, parts, photos · noted/ }).click()
  await expect(page.getByLabel('In the way, or kept')).toHaveValue('Hinge at the back')
  await expect(page.getByLabel('Part 1', { exact: true })).toHaveValue('leg pad, front left')
  await expect(page.getByText('1 of 1 back on')).toBeVisible()
})

for (const [kind, sizes, piece, size, text] of [
  ['Bolster', { d: '18', L: '58' }, /1b body/, 'cut width', '60.5 cm'],
  ['Ottoman or cube', { W: '46', L: '46', H: '38' }, /1c side, left and right/, 'cut height', '47 cm'],
  ['Chair back', { W: '42', H: '50', D: '6' }, /1a outer face/, 'cut width', '53.5 cm'],
  ['Sofa base', { W: '110', S: '58', F: '40', A: '86', M: '82', C: '12' }, /1b arm sheet/, 'cut length', '98.2 cm'],
  [
    'Upholstered chair',
    { W: '55', S: '52', F: '30', A: '22', B: '12', U: '12', H: '68', K: '12', C: '10' },
    /deck/,
    'cut width',
    '76.5 cm',
  ],
] as const)
  test(`${kind}: measured, drafted, laid and bought in centimetres`, ({ page }) =>
    toTheShop(page, kind, sizes, piece, size, text))

test('a cap that falls deeper than the ottoman is refused on Make-up', async ({ page }) => {
  await beginItem(page, 'Footstool', 'Ottoman or cube')
  await measure(page, { W: '20', L: '18', H: '16' })
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Cap and apron')
  await unfold(page)
  await field(page, 'choices.fall').fill('17')
  await told(page, 'deeper than the ottoman is high')
  await field(page, 'choices.fall').fill('4')
  // What stood beneath the field is gone, and all below it has moved up, before anything there is clicked.
  await expect(page.getByRole('alert').filter({ hasText: 'deeper' })).toHaveCount(0)
  await page.getByText('Pleated', { exact: true }).click()
  await pieces(page, /1a cap/, 'cut off at each corner', '2 5/8 in') // (2 - √2) x 4 1/2 = 2.636
})

test('the demo seats are drafted without a doubt, curves laid as curves', async ({ page }) => {
  for (const job of ['demo-lodge-seats', 'demo-reading-room']) {
    await page.goto(`/jobs/${job}/lay`)
    await expect(page.getByTestId('to-buy')).toBeVisible()
    await expect(page.getByRole('navigation', { name: 'Stages' })).toContainText('4Laydone5Buydone')
    await expect(page.getByRole('navigation', { name: 'Stages' })).not.toContainText('to check')
    // A lay is drawn when there is time for it, after the figure along the foot.
    await expect
      .poll(() =>
        page
          .locator('[data-laid] path.cut')
          .evaluateAll((paths) => paths.some((path) => path.getAttribute('d')?.includes('A'))),
      )
      .toBe(true)
  }
})

test('schools that fit stand first, each with its figures; the others say why not', async ({ page }) => {
  await beginItem(page, 'Schools', 'Cushion or seat pad')
  await choose(page, 'Outline', 'T')
  await measure(page, { W: '28', N: '22', L: '24', E: '5', T: '4' })
  await page.keyboard.press('Alt+2')
  const made = page.getByRole('region', { name: 'Make-ups' })
  const schools = made.getByRole('button')
  await expect(schools).toHaveCount(5)
  await expect(schools.first()).toContainText('Separate boxing strip')
  await expect(made.getByRole('article', { name: 'One piece, folded' })).toContainText('covers a rectangle only')
  await expect(schools.filter({ hasText: 'Two panels, corners boxed' })).toContainText('inside corner')
  await makeUp(page, 'Pillowcase, wrapped end')
  // 28 + 3 3/4 + 2 x 1/2
  await pieces(page, /1a panel/, 'cut width', '32 3/4 in')
  await page.getByRole('button', { name: 'Undo' }).click()
  await page.keyboard.press('Alt+2')
  await expect(made.getByRole('article', { name: 'One piece, folded' })).toBeVisible()
})

test('left, right and pairs of an L', async ({ page }) => {
  await beginItem(page, 'Corner', 'Cushion or seat pad')
  await choose(page, 'Outline', 'L')
  await choose(page, 'Hand', 'In pairs')
  await measure(page, { W: '30', N: '22', L: '24', E: '8', T: '4' })
  await page.getByLabel('How many').fill('2')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Separate boxing strip')
  await unfold(page)
  await page.getByRole('radiogroup', { name: 'Strips lie' }).getByText('Either way').click()
  await pieces(page, /1c boxing/, 'cut length', '83 1/2 in')
  await expect(page.getByRole('button', { name: /1a panel/ })).toContainText('every second cover mirrored')
})

test('a chair back by its traced outline, hemmed, with wrong points told on the way', async ({ page }) => {
  await beginItem(page, 'Backs', 'Chair back')
  await choose(page, 'Shape of the back', 'Traced')
  await field(page, 'measures.O').fill('0, 0; 16, 0; 15, 19; 8, 21 1/2 arc 2; 1, 19')
  await field(page, 'measures.D').fill('2')
  await told(page, 'too tight')
  await saved(page)
  await page.reload()
  await expect(field(page, 'measures.O')).toHaveValue(/arc 2/)
  await field(page, 'measures.O').fill('0, 0; 16, 0; 15, 19; 8, 21 1/2 arc 9; 1, 19 arc 9')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+2')
  await unfold(page)
  await page.getByText('Single', { exact: true }).click()
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /1a face/ })).toContainText('cut 2, every second one turned over')
  await expect(page.getByText('all seams match')).toBeVisible()
})

test('an ottoman in inches is read in centimetres without a change of size', async ({ page }) => {
  await beginItem(page, 'Units', 'Ottoman or cube')
  await measure(page, { W: '20', L: '18', H: '16' })
  await page.keyboard.press('Alt+5')
  const bought = await page.getByTestId('to-buy').textContent()
  await page.getByText('How it was reckoned').click()
  await expect(
    page.getByRole('table', { name: 'Item by item' }).getByRole('row', { name: /hook-and-loop/ }),
  ).toContainText('1.78 yd') // 2 x 38 less 4 gaps of 3: 64 in
  await page.getByText('cm', { exact: true }).first().click()
  await expect(
    page.getByRole('table', { name: 'Item by item' }).getByRole('row', { name: /hook-and-loop/ }),
  ).toContainText('1.63 m') // 64 in is 162.56 cm
  await page.getByText('1/16 in', { exact: true }).first().click()
  await expect(page.getByTestId('to-buy')).toHaveText(bought ?? '')
})

test('a cube: banded corners, a gap to fill it by, filling by volume', async ({ page }) => {
  await beginItem(page, 'Cube', 'Ottoman or cube')
  await measure(page, { W: '19', L: '19', H: '19' })
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Cube with corner bands')
  await pieces(page, /corner band/, 'cut width', '4 1/2 in')
  await expect(page.getByRole('row', { name: /^gap for filling opening/ })).toContainText('9 1/2 in')
  await page.keyboard.press('Alt+5')
  await page.getByText('How it was reckoned').click()
  await expect(
    page.getByRole('table', { name: 'Item by item' }).getByRole('row', { name: /loose filling/ }),
  ).toContainText('112.4 litres') // 19 in cubed
})

test('bands are cut from another cloth of the job', async ({ page }) => {
  await beginItem(page, 'Two cloths', 'Ottoman or cube')
  await measure(page, { W: '19', L: '19', H: '19' })
  await page.keyboard.press('Alt+2')
  await makeUp(page, 'Cube with corner bands')
  await page.keyboard.press('Alt+4')
  await page.getByRole('button', { name: 'Add a cloth' }).click()
  await expect(page.getByText('Nothing is cut from this cloth yet.')).toBeVisible()
  await page.keyboard.press('Alt+1')
  await choose(page, 'Contrast from', 'Cloth 2')
  await page.keyboard.press('Escape')
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('button', { name: /corner band/ })).toContainText('from Cloth 2')
  await page.keyboard.press('Alt+4')
  await page.getByRole('button', { name: /^Cloth 2/ }).click()
  // four bands of 4 1/2 x 16 beside each other: 16 in, 0.444 yd, rounded up
  await expect(page.getByRole('region', { name: 'Cloth 2', exact: true }).getByTestId(/^laid-/)).toHaveText('0.45 yd')
  await expect(page.getByText('Nothing is cut from this cloth yet.')).toBeHidden()
  await saved(page)
})

test('photos of what was found are kept, captioned, and come back', async ({ page }) => {
  await beginItem(page, 'Photos', 'Ottoman or cube')
  await saved(page)
  const shot = await page.screenshot({ clip: { x: 0, y: 0, width: 40, height: 30 } })
  await page.getByRole('button', { name: 'Notes, parts, photos' }).click()
  const photos = page.getByRole('region', { name: 'Photos' })
  await photos
    .getByLabel(/Add photos/)
    .setInputFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('no picture') })
  await expect(photos.getByRole('alert')).toContainText('neither a JPEG, PNG nor WebP picture')
  await photos.getByLabel(/Add photos/).setInputFiles({ name: 'corner.png', mimeType: 'image/png', buffer: shot })
  await photos.getByLabel('What it shows').fill('Front corner, pleats')
  await photos.getByLabel('What it shows').press('Tab')
  await expect(photos.getByRole('img', { name: 'Front corner, pleats' })).toHaveJSProperty('naturalWidth', 40)
  await photos.getByRole('button', { name: 'Take away' }).click()
  await expect(photos.getByText('Taken away: Front corner, pleats')).toBeVisible()
  await page.reload()
  await page.getByRole('button', { name: 'Notes, parts, photos' }).click()
  await photos.getByRole('button', { name: 'Put back' }).click()
  await expect(photos.getByRole('img', { name: 'Front corner, pleats' })).toBeVisible()
})

test('a sofa is begun as a set: shared measurements once, wrong ones told and kept', async ({ page }) => {
  await begin(page, 'Long sofa', 'in')
  await pick(page, 'Sofa with its cushions')
  await page.getByLabel('What it is called here').fill('Long sofa')
  const sizes: Record<string, string> = {
    'seat cushions side by side': '3',
    'between the arms': '70',
    'seat depth': '22',
    'seat cushion, thickness': 'five',
    front: '16',
    'over the arm': '34',
    arm: '34',
    crevice: '5',
    'end cushion, ear sideways, if any': '5',
    'end cushion, ear front to back, if any': '6',
  }
  for (const [name, typed] of Object.entries(sizes)) await page.getByLabel(name, { exact: true }).fill(typed)
  // Another set has letters in common, and none of what was typed here.
  await page.getByRole('button', { name: 'Close' }).click()
  await pick(page, 'Table with its chairs')
  await expect(page.getByLabel('table, width')).toHaveValue('')
  await page.getByRole('button', { name: 'Close' }).click()
  await pick(page, 'Sofa with its cushions')
  await expect(page.getByLabel('between the arms')).toHaveValue('70')
  await page.getByRole('button', { name: 'Begin them all' }).click()
  await expect(page.getByRole('alert')).toContainText('For example 5')
  await page.getByLabel('seat cushion, thickness').fill('5')
  await page.getByRole('button', { name: 'Begin them all' }).click()
  const items = page.getByRole('complementary', { name: 'Items' })
  await items.getByRole('button', { name: /^2 Long sofa: seat cushions, left and right end/ }).click()
  // 70 / 3 = 23 1/3, and 5 more in front of the arm
  await expect(field(page, 'measures.N')).toHaveValue(/^23/)
  await page.keyboard.press('Alt+3')
  await expect(page.getByRole('region', { name: /Piece 2a/ })).toBeVisible()
  await saved(page)
})
