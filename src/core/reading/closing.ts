/** How letters end, in the languages that are written here: whoever wrote stands below. */
export const CLOSING =
  /^(?:(?:with )?(?:best|kind|kindest|warm|warmest|many)?\s*(?:wishes|regards|thanks|thank you)|yours(?: (?:sincerely|faithfully|truly))?|sincerely|cheers|thanks(?: again| a lot)?|best|all the best|(?:mit )?(?:freundlichen?|besten|herzlichen?|liebe[nr]?|viele[nr]?) gr(?:ü|ue)(?:ß|ss)(?:en?)?|lg|mfg|danke|cordialement|bien (?:cordialement|à vous)|amicalement|merci)[\s,.!]*$/iu;
