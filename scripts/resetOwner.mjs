// Makes a link that lets an owner set a new password: npm run reset-owner -- E-MAIL
import { asAdministrator } from './administer.mjs';
import { runServerProgram } from './server.mjs';
import { Trouble, fail, installPackages } from './tools.mjs';

async function resetOwner() {
  const [email, ...others] = process.argv.slice(2);
  if (!email?.includes('@') || others.length > 0) throw new Trouble('Usage: npm run reset-owner -- E-MAIL');
  await installPackages();
  await asAdministrator(({ adminUrl }) =>
    runServerProgram('resetOwner', { DATABASE_ADMIN_URL: adminUrl, OWNER_EMAIL: email }),
  );
}

resetOwner().catch(fail);
