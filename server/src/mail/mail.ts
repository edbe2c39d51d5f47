import { createTransport } from 'nodemailer';
import type { Logger } from 'pino';
import type { Db } from '../db/database';
import { insertLetter, type Letter } from '../db/outbox';

/** How letters leave: by SMTP where there is one; otherwise they lie in the outbox for whoever runs the server. */
export interface Mail {
  /** Whether letters reach whom they are for. */
  readonly isSent: boolean;
  /** Where the interface is, for links in letters; no slash at its end. */
  readonly publicUrl: string;
  readonly send: (letter: Letter) => void;
}

interface MailOptions {
  readonly db: Db;
  readonly log: Logger;
  readonly publicUrl: string;
  readonly smtpUrl?: string | undefined;
  readonly from?: string | undefined;
}

/** Letters go out behind whoever waits for an answer, so that its time tells nothing of whether one was sent. */
export function createMail({ db, log, publicUrl, smtpUrl, from }: MailOptions): Mail {
  const transport = smtpUrl ? createTransport(smtpUrl) : undefined;
  const deliver = async (letter: Letter): Promise<void> => {
    if (!transport) return insertLetter(db, letter);
    await transport.sendMail({
      from: from ?? 'Winculum <winculum@localhost>',
      to: letter.to,
      subject: letter.subject,
      text: letter.body,
    });
  };
  return {
    isSent: transport !== undefined,
    publicUrl,
    send: (letter) => {
      deliver(letter).catch((error: unknown) => log.error({ err: error }, 'a letter could not be sent'));
    },
  };
}
