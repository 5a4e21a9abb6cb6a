import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'

const styles = ['drawing', '../stages/pieces/pieces', '../stages/lay/lay'].map((name) =>
  readFileSync(`${import.meta.dirname}/${name}.module.css`, 'utf8'),
)
const base = readFileSync(`${import.meta.dirname}/base.css`, 'utf8')

type Colour = [number, number, number]
const hex = (colour: string): Colour => {
  const [, r, g, b] = /^#(..)(..)(..)$/.exec(colour) ?? []
  return [r, g, b].map((part) => parseInt(part ?? '', 16)) as Colour
}
const chalk = hex(/--chalk: (#\w{6})/.exec(base)?.[1] ?? '')
const dark = hex('#0e1418')

// As the guidelines for content on the web reckon it.
const luminance = (colour: Colour) => {
  const [r, g, b] = colour.map((part) => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as Colour
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
const contrast = (one: Colour, other: Colour) => {
  const [low, high] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

it('chalk stands 7:1 over the palest cloth, through its veil', () => {
  const veils = styles.flatMap((css) => [
    ...css.matchAll(/\.on-cloth:global\(\.cut\) \{\s*fill: rgb\(14 20 24 \/ (\d+)%\)/g),
  ])
  expect(veils.length).toBe(2)
  for (const [, veil] of veils) {
    const share = Number(veil) / 100
    const seen = dark.map((part) => part * share + 255 * (1 - share)) as Colour
    expect(contrast(chalk, seen)).toBeGreaterThanOrEqual(7)
  }
})

it('chalk stands 7:1 beside its casing', () => {
  const casings = styles.flatMap((css) => [...css.matchAll(/stroke: (#0e1418);/g)])
  expect(casings.length).toBeGreaterThanOrEqual(3)
  expect(contrast(chalk, dark)).toBeGreaterThanOrEqual(7)
})
