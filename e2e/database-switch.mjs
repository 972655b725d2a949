import { connect, createServer } from 'node:net';

// Stands between the web server and its database, so that a test can take the database away: SIGUSR1 cuts every
// connection and refuses new ones, SIGUSR2 lets them through again.
const [listenPort, databasePort] = process.argv.slice(2).map(Number);
const open = new Set();
let cut = false;
createServer((socket) => {
  if (cut) return socket.destroy();
  const database = connect(databasePort, '127.0.0.1');
  for (const [a, b] of [
    [socket, database],
    [database, socket],
  ]) {
    open.add(a);
    a.pipe(b);
    a.on('error', () => b.destroy());
    a.on('close', () => {
      open.delete(a);
      b.destroy();
    });
  }
}).listen(listenPort, '127.0.0.1');
process.on('SIGUSR1', () => {
  cut = true;
  for (const socket of open) socket.destroy();
});
process.on('SIGUSR2', () => {
  cut = false;
});
