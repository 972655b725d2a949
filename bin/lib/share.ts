import path from 'node:path';
import { eq } from 'drizzle-orm';
import QRCode from 'qrcode';
import { database } from '../../db/client';
import { FIRST_SITE_ID, members, people } from '../../db/people';
import { ownAddresses } from '../../server/share/addresses';
import { certificateFor } from '../../server/share/certificate';

// What bin/start --share needs: `names` of this machine, its `certificate`, and the `welcome` of its first owner. `recover`
// makes a code for somebody whose password is lost (bin/recover).
const [what, address = ''] = process.argv.slice(2);
const dir = path.join(process.env.COOL_DRAM_DATA ?? '.data', 'tls');

switch (what) {
  case 'names':
    console.log(ownAddresses().join(','));
    break;
  case 'certificate':
    await certificateFor(ownAddresses(), dir);
    break;
  case 'welcome': {
    const isFirst = (await database().$count(people)) === 0;
    const { codeFor } = await import('../../server/people/join');
    const link = isFirst ? `${address}/join?code=${await codeFor(FIRST_SITE_ID, 'owner')}` : address;
    console.error(await QRCode.toString(link, { type: 'terminal', small: true }));
    console.error(
      isFirst ? `The first account is made, and becomes the owner, at ${link}` : `Phones find it at ${link}`,
    );
    process.exit(0);
    break;
  }
  case 'recover': {
    const [person] = await database()
      .select({ id: people.id, name: people.name, role: members.role, siteId: members.siteId })
      .from(people)
      .innerJoin(members, eq(members.personId, people.id))
      .where(eq(people.email, address.toLowerCase()));
    const { codeFor } = await import('../../server/people/join');
    if (!person) console.error('Nobody on a site has this address.');
    else
      console.error(
        `${person.name} sets a new password at /join?code=${await codeFor(person.siteId, person.role, person.id)} within seven days. It works once.`,
      );
    process.exit(person ? 0 : 1);
    break;
  }
  default:
    throw new Error(`names, certificate, welcome or recover, not “${what}”.`);
}
