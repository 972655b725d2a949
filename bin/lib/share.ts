import path from 'node:path';
import QRCode from 'qrcode';
import { database } from '../../db/client';
import { FIRST_SITE_ID, people } from '../../db/people';
import { ownAddresses } from '../../server/share/addresses';
import { certificateFor } from '../../server/share/certificate';

// What bin/start --share needs: `names` of this machine, its `certificate`, and the `welcome` of its first owner.
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
  default:
    throw new Error(`names, certificate or welcome, not “${what}”.`);
}
