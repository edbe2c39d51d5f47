// Prints "PASSED FAILED" from the JSON report of Vitest or Playwright. A runner that failed without a failed test counts as one.
import { readFileSync } from 'node:fs';

const [file, code] = process.argv.slice(2);
let [passed, failed] = [0, 0];
try {
  const report = JSON.parse(readFileSync(file, 'utf8'));
  if (report.stats) [passed, failed] = [report.stats.expected + report.stats.flaky, report.stats.unexpected];
  else [passed, failed] = [report.numPassedTests, report.numFailedTests];
} catch {
  // No report: the runner did not come that far.
}
if (code !== '0' && failed === 0) failed = 1;
if (passed === 0 && failed === 0) failed = 1;
console.log(`${passed} ${failed}`);
