import { defineConfig, devices } from '@playwright/test';
import { ARGS, PLACE } from './bin/setup/chromium.mjs';

/** End-to-end tests drive the production build that bin/test.mjs starts; BASE_URL says where. */
const launchOptions = {
  executablePath: process.env.CHROMIUM ?? PLACE,
  args: ARGS,
};
const desk = { ...devices['Desktop Chrome'], viewport: { width: 1280, height: 800 }, launchOptions };
const phone = { ...desk, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** What changes the templates that others count on comes after them. */
const CHANGING =
  /(?:answers|arrange|asking|bringTemplates|bringing|clients|work|files|fromLetter|heldDays|inTurn|keyboard|later|links|mailboxes|margin|offline|onTheGo|pencil|pictures|recordFiles|records|sendingAccount|shorthand|signatures|takingOut|toAddress|told|trial)\.spec\.ts/;

/** What asks every address keeps the server busy: it comes last, when nobody waits for a page. */
const ROUTES = /everyRoute\.spec\.ts/;

export default defineConfig({
  testDir: 'e2e',
  outputDir: '.test/e2e-results',
  workers: 2,
  fullyParallel: true,
  // Two browsers and a server on two slow processors: what takes seconds elsewhere takes a minute there.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // What a device keeps would be asked of the server beside every test: offline.spec.ts has it.
  use: {
    baseURL: process.env.BASE_URL,
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    serviceWorkers: 'block',
  },
  projects: [
    { name: 'desk', use: desk, testIgnore: [CHANGING, ROUTES] },
    { name: 'phone', use: phone, testIgnore: [CHANGING, ROUTES] },
    { name: 'desk-later', use: desk, testMatch: CHANGING, dependencies: ['desk', 'phone'] },
    { name: 'phone-later', use: phone, testMatch: CHANGING, dependencies: ['desk', 'phone'] },
    { name: 'routes', use: desk, testMatch: ROUTES, dependencies: ['desk-later', 'phone-later'] },
  ],
});
