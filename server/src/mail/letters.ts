import type { Letter } from '../db/outbox';

const end = '\n\nIf you did not ask for this, nothing needs to be done.\n';

export const verifyLetter = (to: string, name: string, link: string): Letter => ({
  to,
  subject: 'Open your Winculum account',
  body: `Hello ${name},\n\nopen your account with this link, within 24 hours:\n\n${link}${end}`,
});

/** To somebody who has an account already and tried, or for whom somebody tried, to open another. */
export const knownLetter = (to: string, link: string): Letter => ({
  to,
  subject: 'You have a Winculum account already',
  body: `Hello,\n\nsomebody tried to open an account with this address. There is one already: sign in, or choose a new password here:\n\n${link}${end}`,
});

export const resetLetter = (to: string, link: string): Letter => ({
  to,
  subject: 'Choose a new Winculum password',
  body: `Hello,\n\nchoose a new password with this link, within two hours:\n\n${link}${end}`,
});

export const inviteLetter = (to: string, name: string, by: string, firm: string, link: string): Letter => ({
  to,
  subject: `${by} invites you to ${firm} on Winculum`,
  body: `Hello ${name},\n\n${by} invites you to work with ${firm}. Choose a password with this link, within seven days:\n\n${link}${end}`,
});

export const newDeviceLetter = (to: string, device: string, address: string, at: string): Letter => ({
  to,
  subject: 'A new sign-in to your Winculum account',
  body: `Hello,\n\nyour account was signed in to from a device that it has not seen before: ${device}, address ${address}, ${at}.\n\nIf that was not you, change your password and choose "Sign out everywhere".\n`,
});

export const passwordChangedLetter = (to: string): Letter => ({
  to,
  subject: 'Your Winculum password was changed',
  body: 'Hello,\n\nthe password of your account was changed just now, and every other session was ended.\n\nIf that was not you, choose a new one at once: "Forgot the password" on the sign-in page.\n',
});
