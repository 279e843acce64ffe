import { open } from './kit.ts';
const { page, url, end } = await open();
await page.goto(url + '/new');
await page.getByRole('textbox', { name: 'Guests' }).fill('75');
await page.getByRole('textbox', { name: 'Guests' }).blur();
await page.getByLabel('Date and time of serving').fill('2027-06-12T16:00');
await page.getByLabel('Date and time of serving').blur();
for (const [n, l] of [['Tiers','3 tiers'],['Filling','strawberry filling'],['Frosting','meringue buttercream']])
await page.getByRole('combobox', { name: n, exact: true }).selectOption({ label: l });
for (let i=0;i<6;i++){ await page.waitForTimeout(2000); console.log(await page.getByTestId('new-title').textContent(), await page.getByRole('alert').allTextContents()); }
await page.screenshot({ path: '/tmp/b1.png' });
await page.getByRole('combobox', { name: 'Frosting', exact: true }).selectOption({ label: 'new frosting …' });
const d=page.getByTestId('own-row');
await d.getByLabel('What it is called').fill('Tower');
await d.getByLabel('How stiff it is').selectOption({ label: 'soft' });
await d.getByTestId('own-paste').click();
const recipe = page.getByTestId('own-recipe');
await recipe.getByTestId('paste').fill('400 g butter\n300 g icing sugar\n60 g ground almonds');
await page.waitForTimeout(500);
await page.screenshot({ path: '/tmp/b2.png' });
await recipe.getByTestId('save-pasted').click();
await page.waitForTimeout(1000);
await page.goto(url+'/pantry?table=spreads');
  await page.getByLabel('Find in this table').fill('tower');
await page.waitForTimeout(1000);
await page.screenshot({ path: '/tmp/b3.png' });
await end();
