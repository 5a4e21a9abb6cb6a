// Sums the reports of the suites that ran into one line, "N passed, N failed". A suite that left no report, or ran nothing, is a failure,
// and so is every check that is no test suite (types, lint) and did not hold.
import { existsSync, readFileSync } from 'node:fs'

const [, , folder, brokenSteps, ...parts] = process.argv
const reports = { core: 'Core.trx', formats: 'Formats.trx', store: 'Store.trx', server: 'Server.trx', web: 'web.xml', e2e: 'e2e.xml' }
// What failed, by name and its first lines, so that the end of a log tells it.
const faults = (name, text) => {
  const failed = name.endsWith('.trx')
    ? text.split('<UnitTestResult ').filter((part) => /^[^>]*outcome="Failed"/.test(part))
    : text.split('<testcase ').filter((part) => /<failure|<error/.test(part))
  return failed.map((part) => {
    const why = /<Message>([^]*?)<\/Message>/.exec(part)?.[1] ?? /<failure[^>]*>([^]*?)<\/failure>/.exec(part)?.[1] ?? ''
    return `${/(?:testName|name)="([^"]*)"/.exec(part)?.[1]}\n   ${why.trim().slice(0, 1500).split('\n').join('\n   ')}`
  })
}
let passed = 0
let failed = 0
for (const name of parts.map((part) => reports[part])) {
  const path = `${folder}/${name}`
  const text = existsSync(path) ? readFileSync(path, 'utf8') : ''
  const number = (pattern) => Number(pattern.exec(text)?.[1] ?? 0)
  const [ran, bad] = name.endsWith('.trx')
    ? [number(/<Counters[^>]* executed="(\d+)"/), number(/<Counters[^>]* failed="(\d+)"/)]
    : [number(/<testsuites[^>]* tests="(\d+)"/), number(/<testsuites[^>]* failures="(\d+)"/) + number(/<testsuites[^>]* errors="(\d+)"/)]
  for (const what of faults(name, text)) console.log(`!! ${name}: ${what}`)
  if (ran === 0) console.log(`${name}: no report, or nothing ran`)
  passed += ran - bad
  failed += ran === 0 ? 1 : bad
}
failed = Math.max(failed, Number(brokenSteps))
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)
