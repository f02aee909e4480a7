/** Titles that stand before a name. Written forms vary in their full stop, so they are compared without it. */
export const HONORIFICS = new Set(
  (
    'mr mrs ms miss mx dr prof professor sir dame lord lady rev reverend revd fr father sister brother rabbi imam ' +
    'canon dean bishop capt captain col colonel maj major lt sgt hon judge ' +
    'herr frau dipl-ing ing mag m mme mlle monsieur madame mademoiselle maître me sr sra señor señora srta don doña ' +
    'sig signor signora dott dottssa avv mevrouw dhr mevr'
  ).split(' '),
);

/** What may stand after a name and is no part of the family name. */
export const SUFFIXES = new Set(
  'jr sr jnr snr junior senior ii iii iv phd md mba ba bsc msc ma obe cbe mbe dbe kbe mp frsm lram arcm esq qc kc rn cpa dds'.split(
    ' ',
  ),
);

/**
 * Particles that begin a family name. They stay with what follows, whatever their case; a capitalised one counts
 * only after a given name ("Van" alone can be a given name).
 */
export const PARTICLES = new Set(
  (
    'de del dela della dello dal dalla degli dei di da do dos das du des d la las le les lo los van von vom vander vande den der ter ten te ' +
    'zu zum zur af av al el ibn bin bint abu ben bat bar ap ab ferch ó ò o ní nic ua uí mac mc st saint san santa y e i und ' +
    "'t op aan in 'n"
  ).split(' '),
);

/** Words that join the two names of a couple; y and e may also stand inside one family name. */
export const JOINERS = /\s+(and|And|AND|&|und|Und|et|Et|y|e|\+)\s+/u;

/** A household named as such is no person's name: "The Wray family", "Familie Weiss". */
export const HOUSEHOLD = /^(?:the|familie|famille|familia)\s|\sfamily$/iu;
