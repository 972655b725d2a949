import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import path from 'node:path';

jest.setTimeout(60_000);
const root = path.join(__dirname, '../..');
let dir: string;
/** Runs lines of shell with the functions of bin/lib/machine.sh, the database placed in a directory of its own. */
function shell(script: string): string {
  const whole = `set -u; . bin/lib/machine.sh; db_place "${dir}/db"; trap db_stop EXIT; ${script}`;
  return execFileSync('bash', ['-c', whole], { cwd: root, encoding: 'utf8', stdio: ['ignore', 'pipe', 'pipe'] }).trim();
}
const refused = (script: string): string => {
  try {
    shell(script);
  } catch (error) {
    return String((error as { stderr: unknown }).stderr);
  }
  return '';
};
/** A statement by one of the accounts that have a password. */
const by = (account: string, sql: string): string => {
  const password = account === 'cool_dram' ? 'password' : 'migrate-password';
  return `MYSQL_PWD=$(cat "$DB_DIR/${password}") mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -u${account} -N cool_dram -e "${sql}"`;
};

beforeEach(() => {
  dir = mkdtempSync(path.join(tmpdir(), 'cool-dram-own-'));
  execFileSync('chmod', ['755', dir]);
});
afterEach(() => rmSync(dir, { recursive: true, force: true }));

test('rows by one account, tables by another, all else by the socket alone; nobody may read files', () => {
  const accounts = `db_admin -N -e "SELECT CONCAT(User, '@', Host, ' ', File_priv) FROM mysql.user ORDER BY 1"`;
  const found = shell(`db_start; ${accounts}`).split('\n');
  expect(found.toSorted()).toEqual(
    [
      'cool_dram@127.0.0.1 N',
      'cool_dram_migrate@127.0.0.1 N',
      'mariadb.sys@localhost N',
      `${userInfo().username}@localhost N`,
    ].toSorted(),
  );
  expect(shell(`db_start; ${by('cool_dram_migrate', 'CREATE TABLE t (n INT); INSERT INTO t VALUES (1)')}`)).toBe('');
  expect(shell(`db_start; ${by('cool_dram', 'UPDATE t SET n = 2; SELECT n FROM t')}`)).toBe('2');
  for (const [account, sql] of [
    ['cool_dram', 'DROP TABLE t'],
    ['cool_dram', 'CREATE TABLE other (n INT)'],
    ['cool_dram', 'SELECT * FROM mysql.global_priv'],
    ['cool_dram', "SELECT LOAD_FILE('/etc/passwd') IS NOT NULL INTO OUTFILE '/tmp/cool-dram-out'"],
    ['cool_dram_migrate', 'CREATE DATABASE another'],
    ['cool_dram_migrate', 'SELECT * FROM mysql.global_priv'],
  ] as const)
    expect(refused(`db_start; ${by(account, sql)}`)).toMatch(/denied/);
  expect(refused('db_start; mariadb --no-defaults -h127.0.0.1 -P"$DB_PORT" -uroot -e "SELECT 1"')).toMatch(/denied/);
  expect(statSync(`${dir}/db`).mode & 0o777).toBe(0o700);
});

test('an install that let anybody in as root is put right at its next start, and keeps its data', () => {
  shell(`db_start
    ${by('cool_dram_migrate', 'CREATE TABLE t (n INT); INSERT INTO t VALUES (7)')}
    db_admin -e "CREATE USER root@127.0.0.1; CREATE USER root@'::1'; CREATE USER ''@localhost; GRANT ALL ON *.* TO root@127.0.0.1"
    db_admin -e "GRANT ALL ON *.* TO cool_dram@127.0.0.1"
    printf secret >"$DB_DIR/root-password"; touch "$DB_DIR/ready"; rm "$DB_DIR/migrate-password"
    db_admin -e "CREATE USER IF NOT EXISTS root@localhost; ALTER USER root@localhost IDENTIFIED BY 'secret'"`);
  const left = `db_admin -N -e "SELECT COUNT(*) FROM mysql.user WHERE User = '' OR (User = 'root' AND Host <> 'localhost')"`;
  expect(shell(`db_start; ${left}; ${by('cool_dram', 'SELECT n FROM t')}`)).toBe('0\n7');
  expect(refused(`db_start; ${by('cool_dram', 'DROP TABLE t')}`)).toMatch(/denied/);
  expect(existsSync(`${dir}/db/root-password`)).toBe(false);
});

test('what holds data is never erased: neither without its passwords, nor what is not ours', () => {
  shell(`db_start; ${by('cool_dram_migrate', 'CREATE TABLE t (n INT); INSERT INTO t VALUES (7)')}`);
  for (const file of ['password', 'migrate-password', 'port']) rmSync(`${dir}/db/${file}`);
  expect(shell(`db_start; ${by('cool_dram', 'SELECT n FROM t')}`)).toBe('7');
  // A start that was killed between the schema and its end.
  writeFileSync(`${dir}/db/installing`, '');
  expect(shell(`db_start; ${by('cool_dram', 'SELECT n FROM t')}`)).toBe('7');
  rmSync(`${dir}/db`, { recursive: true });
  mkdirSync(`${dir}/db/mariadb`, { recursive: true });
  writeFileSync(`${dir}/db/mariadb/letters.txt`, 'dear');
  expect(refused('db_start')).toMatch(/holds something that is not Cool Dram's/);
  expect(existsSync(`${dir}/db/mariadb/letters.txt`)).toBe(true);
});

test('an install that was killed half way is made anew', () => {
  mkdirSync(`${dir}/db/mariadb/mysql`, { recursive: true });
  writeFileSync(`${dir}/db/mariadb/mysql/half`, '');
  writeFileSync(`${dir}/db/installing`, '');
  expect(shell(`db_start; ${by('cool_dram', 'SELECT 1')}`)).toBe('1');
  expect(existsSync(`${dir}/db/installing`)).toBe(false);
});

test('a start leaves the temporary files of other servers on this machine alone', () => {
  // A server deletes at its start whatever is called so in its directory of temporary files.
  const file = path.join('/tmp', `#sql-temptable-${path.basename(dir)}.MAI`);
  writeFileSync(file, '');
  if (userInfo().uid === 0) execFileSync('chown', ['mysql', file]);
  try {
    shell('db_start');
    expect(existsSync(file)).toBe(true);
  } finally {
    rmSync(file, { force: true });
  }
});
