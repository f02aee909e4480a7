/** A letter that somebody typed, with what its words say: `⟦words|path⟧`, where several facts are meant equally, one behind the other. */
export interface TypedLetter {
  from: string;
  member: string;
  /** as it was typed; what is between no brackets is said by no fact */
  marked: string;
}

/**
 * Letters to clients of the demonstration, typed freely on Wednesday 25 November 2026, nine in London, with what a field should stand
 * for. Written down from the records alone, before what was found in them was looked at.
 */
export const TYPED_LETTERS: readonly TypedLetter[] = [
  {
    from: 'booking:b-hartigan',
    member: 'teo',
    marked: `Subject: ⟦Tomorrow|booking.starts_at⟧

Dear Ms ⟦Hartigan|recipient.family_name⟧,

just to say I will be with you ⟦tomorrow|booking.starts_at⟧ at ⟦9.30am|booking.starts_at⟧ for the ⟦tuning visit|booking.service⟧. Last time, on ⟦the 16th|client.last_booking.starts_at⟧, I was late, so I shall leave Overstrand early. It takes ⟦an hour and a half|booking.duration⟧ and costs ⟦£78|booking.price⟧ as ever.

If you need me: ⟦07700 900145|sender.mobile booking.member.mobile⟧.

Best wishes,
⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'client:quist',
    member: 'imke',
    marked: `Hello ⟦Mags|recipient.greeting_name⟧,

⟦Teo|booking.member.given_name⟧ comes to ⟦2 Net Loft Yard|booking.location client.address booking.location.street client.address.street⟧ on ⟦Fri 27th|booking.starts_at⟧ at ⟦half past nine|booking.starts_at⟧. It's the ⟦humidity check|booking.service⟧, so he'll want a plug near ⟦the little upright|booking.items client.items⟧.

Your number here says ⟦01632-960104|client.phone⟧. Is that still right? Mine is ⟦01632 960144|sender.phone business.phone⟧.

Yours,
⟦Imke Sandoval|sender.full_name⟧
⟦Larkfield Piano Care|business.name⟧`,
  },
  {
    from: 'invoice:LPC-1059',
    member: 'runa',
    marked: `Subject: ⟦LPC-1059|invoice.number⟧

Hello ⟦Oda|recipient.greeting_name⟧,

here is invoice ⟦LPC-1059|invoice.number⟧ dated ⟦22/11/2026|invoice.issued_on⟧ for ⟦£82.80|invoice.total⟧. It is due by ⟦6 Dec|invoice.due_on⟧. The pads alone were £34.80, and we did not charge the 15 minutes.

Please use the number ⟦lpc-1059|invoice.number⟧ when you pay.

Kind regards
⟦Runa|sender.given_name⟧`,
  },
  {
    from: 'project:reyes-restoration',
    member: 'imke',
    marked: `Subject: ⟦The drawing-room grand|booking.items client.items⟧

Dear ⟦Ada and Tom|recipient.greeting_name⟧,

a word about the ⟦restoration of the drawing-room grand|project.title⟧. It is at this stage: ⟦new bridge fitted, stringing next|project.custom.workshop_stage⟧. Please come and look at it on ⟦Monday 7th December|booking.starts_at⟧, ⟦11 o'clock|booking.starts_at⟧, at ⟦The Old Net Loft, 6 Quay Lane, Saltby|booking.location business.address⟧.

We still hope to have it ready by ⟦12 January 2027|project.ends_on⟧. As agreed it is ⟦£6,420|project.value⟧ in all.

⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'booking:b-college',
    member: 'imke',
    marked: `Hi ⟦Farah|recipient.greeting_name⟧,

I'm coming for the ⟦regulation|booking.service⟧ on ⟦Friday 4 December|booking.starts_at⟧, ⟦9:00|booking.starts_at⟧ to ⟦13:00|booking.ends_at⟧. I'll get the key from ⟦the porter's lodge|client.custom.key_from⟧ and park ⟦behind the music block|client.custom.where_to_park⟧.

It will be ⟦£220|booking.price⟧ for ⟦the upright in practice room 3|booking.items⟧. Could Dunstan switch the heating off at 8:30?

Thanks
⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'invoice:LPC-1048',
    member: 'runa',
    marked: `Subject: Regulation, ⟦Thornholt College|client.name⟧

Dear Mr ⟦Brandreth|recipient.family_name⟧,

of our invoice ⟦LPC-1048|invoice.number⟧ of ⟦2 October|invoice.issued_on⟧ ⟦£642|invoice.balance⟧ is still open. It was due ⟦1 November 2026|invoice.due_on⟧ and is ⟦24 days|invoice.days_overdue⟧ late now. May I ask you to see to it by Friday?

With kind regards
⟦Runa Okafor|sender.full_name⟧
⟦01632 960 144|sender.phone business.phone⟧`,
  },
  {
    from: 'client:obriain',
    member: 'imke',
    marked: `Dear ⟦Caoimhe|recipient.greeting_name⟧,

your hammers are on the bench for voicing, and I come on ⟦27 Nov|booking.starts_at⟧ at ⟦10am|booking.starts_at⟧. Mrs Adler at Fairhaven told me you play there in May.

The ⟦action rebuild|project.title⟧ should be finished by ⟦21st December|project.ends_on⟧. Until then you owe me nothing but ⟦£732.00|invoice.balance invoice.total client.outstanding⟧, the first part (⟦LPC-1057|invoice.number⟧).

All the best
⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'booking:b64',
    member: 'teo',
    marked: `Subject: Your piano

Hello ⟦Joost|recipient.greeting_name⟧,

⟦Wed 2nd|booking.starts_at⟧ at ⟦ten|booking.starts_at⟧ suits me well. I'll be in ⟦Thornholt|client.address.town booking.location.town⟧ all day. From ⟦10:00|booking.starts_at⟧ to ⟦11:30|booking.ends_at⟧ I work, then I'd be glad of a coffee.

Would you measure the door of ⟦3 Weir Cottages|booking.location client.address booking.location.street client.address.street⟧ for me? Your sister at 5 Weir Cottages had hers narrowed in 2019.

⟦Teo Marsh|sender.full_name⟧`,
  },
  {
    from: 'booking:b-quayarts',
    member: 'imke',
    marked: `Dear ⟦Silvio|recipient.greeting_name⟧,

⟦concert tuning|booking.service⟧ on ⟦30.11.2026|booking.starts_at⟧: I am at the ⟦loading bay, ring the stage door|client.custom.where_to_park⟧ by ⟦3 pm|booking.starts_at⟧ and done by ⟦4.30pm|booking.ends_at⟧. ⟦Ninety minutes|booking.duration⟧ of quiet, please.

⟦£95.00|booking.price⟧ goes on the account of ⟦Marrow Quay Arts Centre|client.name⟧. Noor has ⟦LPC-1055|invoice.number⟧ already.

⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'client:latimer',
    member: 'teo',
    marked: `Dear ⟦Sir|recipient.honorific⟧ ⟦Godfrey|recipient.given_name recipient.greeting_name⟧,

the ⟦new key tops|project.title⟧ are cut. As of today they are waiting for glue to cure. You are welcome in the workshop on ⟦Thursday 3 December|booking.starts_at⟧ from ⟦11.30|booking.starts_at⟧; all will be done by ⟦4 December|project.ends_on⟧.

It comes to ⟦£460|project.value⟧ as I wrote on 2 September.

Yours sincerely
⟦Teo Marsh|sender.full_name⟧
⟦Larkfield Piano Care|business.name⟧
⟦office@larkfield.example|business.email⟧`,
  },
  {
    from: 'enquiry:e1',
    member: 'runa',
    marked: `Hello ⟦Bram|recipient.greeting_name⟧,

thank you for asking about ⟦a tuning visit|enquiry.service⟧. We could come on ⟦4 December|enquiry.wanted_on⟧ at 14:00 or on Saturday the 12th. It costs £78.

Is ⟦07700900261|client.phone enquiry.phone recipient.phone⟧ the best number? I'll send the rest to ⟦bram@tolliver.example|client.email enquiry.email recipient.email⟧.

Best
⟦Runa|sender.given_name⟧`,
  },
  {
    from: 'client:ashdown',
    member: 'teo',
    marked: `Dear Mrs ⟦Ashdown|recipient.family_name⟧,

on ⟦Tue 1st Dec|booking.starts_at⟧ I come at ⟦one o'clock|booking.starts_at⟧, not at two as I said on the telephone. ⟦The upright|booking.items client.items⟧ stands by the window, which is bad for it in winter; we could move it together.

I have you down as ⟦3 Mariners Court, Saltby LK2 3AP|client.address booking.location⟧.

Kind regards,
⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'invoice:LPC-1053',
    member: 'imke',
    marked: `Subject: Paying ⟦LPC-1053|invoice.number⟧ in parts

Dear ⟦Ada and Tom|recipient.greeting_name⟧,

thank you, ⟦£2,600|invoice.paid⟧ has come so far, the last of it (⟦£600|invoice.last_payment⟧) on ⟦20 November|invoice.last_paid_on⟧. That leaves ⟦£3,820.00|invoice.balance⟧ of ⟦£6,420.00|invoice.total⟧, the last part by ⟦4 January 2027|invoice.due_on⟧.

If that is too much before Christmas, tell me.

⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'client:wray',
    member: 'teo',
    marked: `Hello all at ⟦Gorse Bank|client.address.street booking.location.street client.address booking.location⟧,

the ⟦pitch raise|booking.service⟧ is pencilled in for ⟦16 December|booking.starts_at⟧ at ⟦09:30|booking.starts_at⟧, ⟦two hours|booking.duration⟧, ⟦£110|booking.price⟧. Say yes and it is yours, ⟦Wray family|recipient.greeting_name client.greeting_name⟧. Will anybody be up by then?

⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'client:castellanos',
    member: 'imke',
    marked: `Dear ⟦Ines|recipient.greeting_name⟧,

I see you next on ⟦17/02/2027|booking.starts_at⟧ (⟦9.30|booking.starts_at⟧). ⟦Inés Castellanos|client.full_name recipient.full_name⟧ is what I should write on the parcel, isn't it, and ⟦14 Lantern Hill|client.address.street booking.location.street client.address booking.location⟧?

Love to Rosalind and the children

⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'booking:b81',
    member: 'imke',
    marked: `Betreff: ⟦Überholung des Flügels|project.title⟧

Guten Tag Frau ⟦Vollrath|recipient.family_name⟧,

am ⟦Montag, 4. Januar 2027|booking.starts_at⟧, um ⟦11|booking.starts_at⟧ Uhr können Sie ⟦der Flügel|booking.items client.items⟧ bei uns in der Werkstatt ansehen. Bis zum ⟦8. Februar|project.ends_on⟧ wird alles fertig sein, und es bleibt bei ⟦3.980 £|project.value⟧.

Sie erreichen uns unter ⟦+44 1632 960144|business.phone sender.phone⟧.

Mit freundlichen Grüßen
⟦Imke Sandoval|sender.full_name⟧`,
  },
  {
    from: 'client:vollrath',
    member: 'imke',
    marked: `Liebe ⟦Jannike|recipient.greeting_name⟧,

die ⟦Überholung des Flügels|project.title⟧ hat am ⟦5. November|project.starts_on⟧ begonnen. Kommen Sie am ⟦4.1.2027|booking.starts_at⟧ gegen ⟦11:00|booking.starts_at⟧ Uhr zu uns, es dauert etwa ⟦eine Stunde|booking.duration⟧. Haben Sie noch die Nummer ⟦07700 900212|client.mobile recipient.mobile⟧, und wohnen Sie noch ⟦Am Speicher 8|client.address.street client.address⟧?

Herzliche Grüße
⟦Imke|sender.given_name⟧`,
  },
  {
    from: 'project:vollrath-restoration',
    member: 'imke',
    marked: `Guten Tag ⟦Jannike Vollrath|recipient.full_name client.full_name⟧,

kurz zum Stand: das Stimmen kommt zum Schluss, am ⟦Mo 4. Januar|booking.starts_at⟧ sehen wir weiter. Die Kosten von ⟦£3,980.00|project.value⟧ haben wir im Oktober besprochen, daran ist nichts zu ändern. Der Spediteur rechnet mit 450 £ für den Weg nach ⟦Wiekhafen|client.address.town⟧.

Viele Grüße
⟦Imke Sandoval|sender.full_name⟧
⟦Larkfield Piano Care|business.name⟧`,
  },
  {
    from: 'booking:b-saltbyschool',
    member: 'teo',
    marked: `Dear ⟦Greta Oyelaran|recipient.full_name⟧,

next ⟦Wednesday, 2 December|booking.starts_at⟧, I do both pianos, ⟦the hall upright and the music-room upright|booking.items⟧, from ⟦9.30|booking.starts_at⟧ until ⟦11|booking.ends_at⟧. That is ⟦£156|booking.price⟧ together, to Lowell Sharp as always. I fetch the key from ⟦the school office|client.custom.key_from⟧.

Please no children in the hall before 11:15.

⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'client:barrow',
    member: 'imke',
    marked: `Dear Mr ⟦Barrow|recipient.family_name⟧,

we have not been to ⟦Hill Farm|client.address.street client.address⟧ for a while. A grand like yours wants tuning twice a year, and a tuning visit is £78 within ten miles. We could come on 8 or 9 December.

Ring ⟦01632 960144|business.phone sender.phone⟧ or write to ⟦imke@larkfield.example|sender.email⟧.

⟦Imke Sandoval|sender.full_name⟧`,
  },
  {
    from: 'booking:b71',
    member: 'imke',
    marked: `Subject: See you on ⟦the 10th|booking.starts_at⟧

Hello ⟦Ingrid|recipient.greeting_name⟧,

I have you in the book for ⟦10/12|booking.starts_at⟧, ⟦10 am|booking.starts_at⟧ sharp, at ⟦Seaholme, North Parade, Overstrand|booking.location client.address⟧. Please have ⟦the parlour grand|booking.items client.items⟧ closed the night before. It'll be ⟦£78.00|booking.price⟧ and I'm away again by ⟦half eleven|booking.ends_at⟧.

See you then
⟦Imke|sender.given_name⟧ (⟦07700 900 144|sender.mobile⟧)`,
  },
  {
    from: 'client:brandvold',
    member: 'runa',
    marked: `Dear Ms ⟦Brandvold|recipient.family_name⟧,

our letter to you at ⟦ingrid@brandvold.example|client.email recipient.email⟧ came back. Is it still right? We only want to confirm ⟦Thursday 10 December 2026|booking.starts_at⟧.

We also have ⟦01632960112|client.phone recipient.phone⟧ and the mobile ⟦+44 7700 900211|client.mobile recipient.mobile⟧.

Kind regards,
⟦Runa Okafor|sender.full_name⟧
⟦Larkfield Piano Care|business.name⟧`,
  },
  {
    from: 'invoice:LPC-1050',
    member: 'runa',
    marked: `Subject: Your part payment

Dear Mrs ⟦Ionescu|recipient.family_name⟧,

thank you for ⟦£80.00|invoice.paid invoice.last_payment⟧, which reached us on ⟦5 Nov|invoice.last_paid_on⟧. There remain ⟦£137.20|invoice.balance⟧ on ⟦LPC-1050|invoice.number⟧; they're not due until ⟦9 December|invoice.due_on⟧, so no hurry. The whole invoice was ⟦£217.20|invoice.total⟧.

⟦Runa|sender.given_name⟧`,
  },
  {
    from: 'project:stpetroc-repair',
    member: 'imke',
    marked: `Dear ⟦Verity|recipient.greeting_name⟧,

about the ⟦pedal and trapwork repair|project.title⟧ at ⟦St Petroc's|client.name⟧: we start on ⟦15 December|project.starts_on⟧ and I'd be at the church on ⟦Thursday the 17th|booking.starts_at⟧ from ⟦ten o'clock|booking.starts_at⟧ till ⟦1pm|booking.ends_at⟧. I'll collect the key from ⟦the vestry, ring twice|client.custom.key_from⟧.

For the whole thing I had quoted ⟦£520|project.value⟧ and that stands. Mr Vane need not be there.

All good wishes
⟦Imke Sandoval|sender.full_name⟧`,
  },
  {
    from: 'booking:b76',
    member: 'teo',
    marked: `⟦Padraig|recipient.greeting_name⟧,

a note through your door as you have no email: tuning on ⟦Fri 18 Dec|booking.starts_at⟧, ⟦10|booking.starts_at⟧-⟦11.30|booking.ends_at⟧. ⟦5 Tanners Yard|booking.location client.address booking.location.street client.address.street⟧, ⟦the parlour upright|booking.items client.items⟧. Usual ⟦78 pounds|booking.price⟧.

Ring ⟦07700 900145|sender.mobile booking.member.mobile⟧ if it is no good to you. Otherwise till ⟦the 18th|booking.starts_at⟧.

⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'client:fairhavenhome',
    member: 'runa',
    marked: `Subject: ⟦Hire of a second upright|project.title⟧

Dear ⟦Mrs|recipient.honorific⟧ ⟦Adler|recipient.family_name⟧,

⟦Fairhaven Retirement Home|client.name⟧ can have the hire piano from ⟦10 December|project.starts_on⟧ to ⟦8 February 2027|project.ends_on⟧ for ⟦£270|project.value⟧. ⟦Gantry & Rill|project.partners⟧ would bring it. ⟦Teo|booking.member.given_name⟧ is with you anyway on ⟦11 December|booking.starts_at⟧ at ⟦2pm|booking.starts_at⟧ and could look at where it might stand.

Your invoice ⟦LPC-1054|invoice.number⟧ (⟦£110.40|invoice.balance invoice.total⟧) is due on ⟦Friday|invoice.due_on⟧, by the way.

With best wishes
⟦Runa|sender.given_name⟧`,
  },
  {
    from: 'booking:b73',
    member: 'teo',
    marked: `Hi ⟦Sunniva|recipient.greeting_name⟧,

is ⟦Monday 14 December|booking.starts_at⟧ still good? I would be at ⟦The Signal Box|booking.location client.address booking.location.street client.address.street⟧ around ⟦9:30|booking.starts_at⟧. I know ⟦Marrow Quay|booking.location.town client.address.town⟧ floods; last December I came in wellingtons. If not, Tuesday the 15th at 14:00 is free.

⟦Teo|sender.given_name⟧`,
  },
  {
    from: 'client:delacruz',
    member: 'teo',
    marked: `Dear ⟦Dr|recipient.honorific⟧ ⟦de la Cruz|recipient.family_name⟧,

I'm with you ⟦tomorrow|booking.starts_at⟧ at ⟦1 pm|booking.starts_at⟧ for ⟦an hour and a half|booking.duration⟧ (⟦tuning visit|booking.service⟧, ⟦£78|booking.price⟧). Is ⟦7 Cliff Gardens|booking.location client.address booking.location.street client.address.street⟧ the house with the green door? Miss Nakagawa at number 1 sends her love.

Yours sincerely
⟦Teo Marsh|sender.full_name⟧`,
  },
];
