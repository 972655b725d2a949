import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { SMTPServer } from 'smtp-server';

// A simulated mail server, for trying things out: it takes every mail and keeps it as a file, and sends none on.
//   node_modules/.bin/tsx instruments/mail.ts FOLDER [port]        SMTP_URL=smtp://127.0.0.1:2525 bin/start --share

/** Starts it. @returns the server; each mail becomes a file of the folder, named by the time of its coming */
export function keepMails(folder: string, port: number): SMTPServer {
  let n = 0;
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onData(stream, _session, done) {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        const name = `${new Date().toISOString().replace(/[:.]/g, '-')}-${++n}.eml`;
        writeFileSync(path.join(folder, name), Buffer.concat(parts));
        done();
      });
    },
  });
  server.listen(port, '127.0.0.1');
  return server;
}

const [folder, port = '2525'] = process.argv.slice(2);
if (folder && process.argv[1]?.endsWith('mail.ts')) {
  keepMails(folder, Number(port));
  console.log(`Mails to 127.0.0.1:${port} are kept in ${folder}.`);
}
