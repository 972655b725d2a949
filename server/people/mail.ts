import { createTransport } from 'nodemailer';
import { publicAddress } from '../share/public-address';

const TIMEOUT_MS = 10_000;
const options = () => process.env.SMTP_URL;

/** Whether this server may send mails: SMTP_URL says through which one, and SMTP_FROM in whose name. */
export const canMail = (): boolean => Boolean(options()) && publicAddress() !== undefined;

/** The address of a page of this server, as a mail names it. */
export const linkTo = (page: string): string => `${publicAddress() ?? ''}${page}`;

/**
 * Sends a mail of plain text.
 * @returns whether a mail server took it; why not is in the log of this server
 */
export async function sendMail(to: string, subject: string, text: string): Promise<boolean> {
  const url = options();
  if (!url) return false;
  const transport = createTransport({
    url,
    connectionTimeout: TIMEOUT_MS,
    greetingTimeout: TIMEOUT_MS,
    socketTimeout: TIMEOUT_MS,
  });
  try {
    const from = process.env.SMTP_FROM ?? 'Cool Dram <cool-dram@localhost>';
    await transport.sendMail({ from, to, subject, text });
    return true;
  } catch (error) {
    console.error(`A mail was not sent: ${error instanceof Error ? error.message : error}`);
    return false;
  } finally {
    transport.close();
  }
}
