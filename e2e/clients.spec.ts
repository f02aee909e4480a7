import { expect, test } from '@playwright/test';
import { expectAccessible, signIn } from './signedIn';
import { editable } from './writing';

test('a client is written down by a name, with people and things, changed, and written to', async ({ page }, {
  project,
}) => {
  const address = `lovelace.${project.name}@post.example`;
  const called = `Dr Ada Lovelace-${project.name}`;
  await signIn(page);
  await page.goto('/clients');
  await page.getByRole('link', { name: 'New client' }).click();
  await page.getByRole('button', { name: 'Write the client down' }).isVisible();
  const name = page.getByLabel('Name', { exact: true });
  await name.fill('Hartigan');
  // Whoever is there already is pointed out.
  await expect(page.getByText('Perhaps this is the same:')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Oda Hartigan' }).last()).toBeVisible();
  await expectAccessible(page);
  await name.fill(called);
  await expect(page.getByText('Perhaps this is the same:')).toHaveCount(0);
  await expect(page.getByText('Letters begin “Hello Ada,”.')).toBeVisible();
  await page.getByText('Put parts of the name right').click();
  await page.getByLabel('Wants to be called').first().fill('Ida');
  await expect(page.getByText('Letters begin “Hello Ida,”.')).toBeVisible();
  await page.getByLabel('Email address').first().fill('lovelace at home');
  await page.getByRole('button', { name: 'Write the client down' }).click();
  await expect(page.getByLabel('Email address').first()).toBeFocused();
  await expect(page.getByLabel('Email address').first()).toHaveAccessibleDescription(
    'This is no email address, as ada@house.example.',
  );
  await page.getByLabel('Email address').first().fill(address);
  await page.getByRole('button', { name: 'Add a person' }).click();
  const person = page.getByRole('group', { name: 'Person 1' });
  await person.getByLabel('Given name').fill('Byron');
  await person.getByLabel('a copy of invoices').check();
  await page.getByRole('button', { name: 'Add an instrument' }).click();
  const instrument = page.getByRole('group', { name: 'Instrument 1' });
  await instrument.getByLabel('Called').fill('the upright in the hall');
  // Taken out, and put back.
  await instrument.getByRole('button', { name: 'Take this instrument out' }).click();
  await expect(instrument).toHaveCount(0);
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(instrument.getByLabel('Called')).toHaveValue('the upright in the hall');
  await expectAccessible(page);
  // Left and come back to, it is still there.
  await page.goto('/today');
  await page.goto('/clients/new');
  await expect(page.getByText('You wrote this here before and have not kept it.')).toBeVisible();
  await expect(person.getByLabel('Given name')).toHaveValue('Byron');
  await page.getByRole('button', { name: 'Write the client down' }).click();

  await expect(page.getByRole('heading', { name: called })).toBeVisible();
  await expect(page.getByText('the upright in the hall')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Change', exact: true }).click();
  await page.getByLabel('Telephone').first().fill('01632 960177');
  await page.getByLabel('Tags').fill('regular, quay');
  // What the business keeps of its own.
  await page.getByLabel('Where to park').fill('behind the quay');
  const tuned = page.getByRole('group', { name: 'Instrument 1' });
  await tuned.getByLabel('Last pitch (Hz)').fill('high');
  await tuned.getByLabel('Last pitch (Hz)').blur();
  await expect(tuned.getByText('Write a number, as 438.5.')).toBeVisible();
  await tuned.getByLabel('Last pitch (Hz)').fill('438.5');
  await tuned.getByLabel('Humidity system').selectOption('yes');
  await page.getByLabel('Telephone').first().press('Control+Enter');
  await expect(page.getByRole('heading', { name: called })).toBeVisible();
  await expect(page.getByText('01632 960177')).toBeVisible();
  await expect(page.getByText('regular, quay')).toBeVisible();
  await expect(page.getByText('behind the quay')).toBeVisible();
  await expect(page.getByText('last pitch (Hz): 438.5, humidity system: yes')).toBeVisible();
  await page.getByRole('link', { name: 'Write', exact: true }).click();
  await expect(await editable(page)).toContainText('Hello Ida');
  await expect(page.getByText(address).first()).toBeVisible();
});
