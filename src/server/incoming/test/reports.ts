import { LETTER_ID, message, multipart, RETURNED, type Awkward } from './awkward';

const NO_ADDRESS = 'There is no such address.';
const FULL = 'The mailbox is full.';
const NO_DOMAIN = 'There is no such place for mail: what stands behind the @ is wrong.';
const UNWANTED = 'The server does not take letters from here, or takes them for unwanted ones.';

const DAEMON = {
  From: 'Mail Delivery System <MAILER-DAEMON@mx.post.example>',
  'In-Reply-To': undefined,
  'Return-Path': '<>',
};
const BACK = `From: Imke Sandoval <imke@larkfield.example>\r\nTo: oda@hartigan.example\r\nSubject: Your visit\r\nMessage-ID: <${LETTER_ID}>\r\n`;

type Told = NonNullable<Awkward['told']['deliveries']>;

/** A report as RFC 3464 has it: words, fields, and what came back. */
function standard(
  name: string,
  groups: readonly string[],
  deliveries: Told,
  more: { words?: string; back?: string; type?: string; kind?: string } = {},
): Awkward {
  const { type, body } = multipart(
    `report; report-type=${more.kind ?? 'delivery-status'}`,
    [
      'Content-Type: text/plain; charset=utf-8',
      more.words ?? 'This is the mail system at mx.post.example.\r\n\r\nI am sorry.',
    ],
    [
      `Content-Type: ${more.type ?? 'message/delivery-status'}`,
      ['Reporting-MTA: dns; mx.post.example', ...groups].join('\r\n\r\n'),
    ],
    ...(more.back === ''
      ? []
      : ([['Content-Type: message/rfc822', more.back ?? `${BACK}\r\nHello Oda,`]] as const)),
  );
  return {
    name,
    raw: message(
      {
        ...DAEMON,
        Subject: 'Undelivered Mail Returned to Sender',
        'Auto-Submitted': 'auto-replied',
        ...type,
      },
      body,
    ),
    told: {
      is: 'delivery report',
      deliveries,
      ...(more.back === '' ? { about: null } : { about: RETURNED }),
    },
  };
}

function group(
  action: string,
  status: string,
  diagnostic: string,
  recipient = 'oda@hartigan.example',
): string {
  return [
    `Final-Recipient: rfc822; ${recipient}`,
    `Action: ${action}`,
    `Status: ${status}`,
    `Diagnostic-Code: smtp; ${diagnostic}`,
  ].join('\r\n');
}

/** A report of a server that writes words alone. */
function inWords(
  name: string,
  subject: string,
  words: string,
  deliveries: Told,
  more: Record<string, string | undefined> = {},
): Awkward {
  return {
    name,
    raw: message({ ...DAEMON, Subject: subject, ...more }, words),
    told: { is: 'delivery report', deliveries },
  };
}

const failed = (status: string, reason: string, address = 'oda@hartigan.example') =>
  [address, 'bounced', status, reason] as const;

/** What servers say of a letter: in the fields of the standard, and in words of their own. */
export const REPORTS: readonly Awkward[] = [
  standard(
    'no such address',
    [group('failed', '5.1.1', '550 5.1.1 <oda@hartigan.example>: Recipient address rejected: User unknown')],
    [failed('5.1.1', NO_ADDRESS)],
  ),
  standard('a full mailbox', [group('failed', '5.2.2', '552 5.2.2 Over quota')], [failed('5.2.2', FULL)]),
  standard('no such domain', [group('failed', '5.1.2', '550 Host not found')], [failed('5.1.2', NO_DOMAIN)]),
  standard(
    'a policy',
    [group('failed', '5.7.1', '550 5.7.1 Message rejected as spam')],
    [failed('5.7.1', UNWANTED)],
  ),
  standard(
    'the general code, with words that say more',
    [group('failed', '5.0.0', '550 No such user here')],
    [failed('5.0.0', NO_ADDRESS)],
  ),
  standard(
    'a policy whose words say that there is no address',
    [group('failed', '5.7.1', '550 5.7.1 User unknown')],
    [failed('5.7.1', NO_ADDRESS)],
  ),
  standard(
    'a sender that is not believed',
    [group('failed', '5.7.26', '550 5.7.26 This mail is unauthenticated')],
    [failed('5.7.26', 'The server could not tell that the letter is from whom it says.')],
  ),
  standard(
    'nothing said but that it failed',
    [group('failed', '5.0.0', '554 Transaction failed')],
    [failed('5.0.0', 'The server gives no reason that says much.')],
  ),
  standard(
    'a delay',
    [group('delayed', '4.4.1', '421 4.4.1 Connection timed out')],
    [['oda@hartigan.example', 'delayed', '4.4.1', 'The server did not answer.']],
  ),
  standard(
    'an arrival',
    [group('delivered', '2.0.0', '250 2.0.0 Ok')],
    [['oda@hartigan.example', 'delivered', '2.0.0', 'It has arrived.']],
  ),
  standard(
    'handed on to a server that tells nothing more',
    [group('relayed', '2.6.0', '250 Ok')],
    [['oda@hartigan.example', 'delivered', '2.6.0', 'It has arrived.']],
  ),
  standard(
    'two addresses, one of which got it',
    [
      group('failed', '5.1.1', '550 User unknown'),
      group('delivered', '2.0.0', '250 Ok', 'per@hartigan.example'),
    ],
    [failed('5.1.1', NO_ADDRESS), ['per@hartigan.example', 'delivered', '2.0.0', 'It has arrived.']],
  ),
  standard(
    'the address as it was written to, before it was sent on',
    [
      `Original-Recipient: rfc822;oda@hartigan.example\r\n${group('failed', '5.1.1', '550 User unknown', 'box17@store.example')}`,
    ],
    [failed('5.1.1', NO_ADDRESS)],
  ),
  standard(
    'fields in small letters and over two lines',
    [
      'final-recipient: RFC822;\r\n <Oda@Hartigan.example>\r\naction: FAILED\r\nstatus: 5.1.1 (bad mailbox)\r\ndiagnostic-code: smtp; 550 5.1.1\r\n\tUser unknown',
    ],
    [failed('5.1.1', NO_ADDRESS)],
  ),
  standard(
    'only the head came back',
    [group('failed', '5.1.1', '550 User unknown')],
    [failed('5.1.1', NO_ADDRESS)],
    { back: BACK },
  ),
  standard(
    'nothing came back',
    [group('failed', '5.1.1', '550 User unknown')],
    [failed('5.1.1', NO_ADDRESS)],
    { back: '' },
  ),
  standard(
    'addresses beyond ASCII',
    [group('failed', '5.1.1', '550 User unknown', 'jörg@weiß.example')],
    [failed('5.1.1', NO_ADDRESS, 'jörg@weiß.example')],
    { type: 'message/global-delivery-status' },
  ),
  standard(
    'not called a report in its head',
    [group('failed', '5.1.1', '550 User unknown')],
    [failed('5.1.1', NO_ADDRESS)],
    { kind: 'something-else' },
  ),
  inWords(
    'in words: an apology and a line for each',
    'failure notice',
    'Hi. This is the program at mx.post.example.\nI am afraid I was not able to deliver your message to the following addresses.\nThis is a permanent error; I have given up. Sorry it did not work out.\n\n<oda@hartigan.example>:\n192.0.2.7 does not like recipient.\nRemote host said: 550 5.1.1 User unknown\nGiving up on 192.0.2.7.\n\n--- Below this line is a copy of the message.\n\nReturn-Path: <imke@larkfield.example>\nTo: oda@hartigan.example, teo@larkfield.example\n',
    [failed('5.1.1', NO_ADDRESS)],
  ),
  inWords(
    'in words: created automatically',
    'Mail delivery failed: returning message to sender',
    'This message was created automatically by mail delivery software.\n\nA message that you sent could not be delivered to one or more of its\nrecipients. This is a permanent error. The following address(es) failed:\n\n  oda@hartigan.example\n    host mx.hartigan.example [192.0.2.7]\n    SMTP error from remote mail server after RCPT TO:<oda@hartigan.example>:\n    550 Mailbox unavailable\n\n------ This is a copy of the message, including all the headers. ------\n\nReceived: from larkfield.example\n',
    [failed('', NO_ADDRESS)],
    { 'X-Failed-Recipients': 'oda@hartigan.example' },
  ),
  inWords(
    'in words: a warning that it is still tried',
    'Warning: message delayed 24 hours',
    'This message was created automatically by mail delivery software.\nA message that you sent has not yet been delivered to one or more of its recipients after more than 24 hours.\n\n  oda@hartigan.example\n    Delay reason: connection timed out\n\nNo action is required on your part. Delivery attempts will continue.\n',
    [['oda@hartigan.example', 'delayed', '', 'The server did not answer.']],
    { 'X-Failed-Recipients': 'oda@hartigan.example' },
  ),
  inWords(
    'in words: reasons in brackets',
    'Returned mail: see below for details',
    'The original message was received at Fri, 27 Nov 2026\n\n   ----- The following addresses had permanent fatal errors -----\n<oda@hartigan.example>\n    (reason: 550 5.1.1 User unknown)\n',
    [failed('5.1.1', NO_ADDRESS)],
  ),
  inWords(
    'in words: groups and diagnostics',
    'Undeliverable: Your visit',
    "Delivery has failed to these recipients or groups:\n\noda@hartigan.example\nThe e-mail address you entered could not be found.\n\nDiagnostic information for administrators:\n\nGenerating server: mx.post.example\n\noda@hartigan.example\nRemote server returned '550 5.1.10 RESOLVER; recipient not found'\n",
    [failed('5.1.10', 'What stands behind the @ takes no mail.')],
    { From: 'postmaster@hartigan.example' },
  ),
  inWords(
    'in words: German',
    'Unzustellbar: Ihr Termin',
    'Ihre Nachricht konnte nicht zugestellt werden an:\n\noda@hartigan.example\n\nDer Server sagte: 552 Postfach ist voll\n',
    [failed('', FULL)],
  ),
  inWords(
    'in words: French',
    '=?utf-8?q?=C3=89chec_de_la_remise?=',
    'Votre message n’a pas pu être remis à oda@hartigan.example :\n550 5.1.1 utilisateur inconnu\n',
    [failed('5.1.1', NO_ADDRESS)],
  ),
  inWords(
    'in words: a short one',
    'Delivery Status Notification (Failure)',
    'Your message wasn’t delivered to oda@hartigan.example because the address couldn’t be found.\nThe response was:\n550-5.1.1 The account that you tried to reach does not exist. Please check it.\n',
    [failed('5.1.1', NO_ADDRESS)],
  ),
  inWords(
    'in words: nobody named',
    'Undeliverable mail',
    'Your message could not be delivered: over quota.\n',
    [failed('', FULL, '')],
  ),
  inWords(
    'in words: temporary',
    'Delivery delayed',
    'The message to <oda@hartigan.example> is still being tried.\n451 4.7.1 Greylisted, please try again later\n',
    [['oda@hartigan.example', 'delayed', '4.7.1', 'The server asks to try again later.']],
  ),
  {
    name: 'a person who writes of an undelivered parcel',
    raw: message(
      { Subject: 'Undelivered: the felt', 'In-Reply-To': undefined },
      'The felt was not delivered to felt@shop.example.',
    ),
    told: { is: 'other', automatic: false },
  },
  {
    name: 'a postmaster who writes as a person',
    raw: message(
      { From: 'postmaster@hartigan.example', Subject: 'Our piano', 'In-Reply-To': undefined },
      'Could you come?',
    ),
    told: { is: 'other', automatic: false },
  },
  {
    name: 'a report of having read it is no arrival',
    raw: message(
      {
        ...DAEMON,
        From: 'oda@hartigan.example',
        Subject: 'Read: Your visit',
        ...multipart('report; report-type=disposition-notification').type,
      },
      multipart(
        'report; report-type=disposition-notification',
        ['Content-Type: text/plain', 'Your message was read.'],
        [
          'Content-Type: message/disposition-notification',
          `Original-Message-ID: <${LETTER_ID}>\r\nDisposition: manual-action/MDN-sent-manually; displayed`,
        ],
      ).body,
    ),
    told: { is: 'other' },
  },
];
