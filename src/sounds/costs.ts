import type { SoundWords } from "../language/sounds.ts";
import { type Consonant, type Mouth, type Phone, type Vowel, manners, places } from "./phones.ts";

/**
 * What it costs that one sound is taken for another, is lost, or is heard where there is none: whole
 * hundredths of the least that tells two sounds of the same sort well apart.
 *
 * What weighs how much is after what listeners confuse: voicing and nasality survive noise, place is
 * lost first (G. A. Miller and P. E. Nicely, "An analysis of perceptual confusions among some English
 * consonants", JASA 27, 1955; S. A. Phatak and J. B. Allen, "Consonant and vowel confusions in
 * speech-weighted noise", JASA 121, 2007); vowels by how near they are made (G. E. Peterson and H. L.
 * Barney, "Control methods used in a study of the vowels", JASA 24, 1952); features weighed and added up
 * as in alignment of cognates (G. Kondrak, "A new algorithm for the alignment of phonetic sequences",
 * NAACL 2000); weak sounds are lost more easily than made up, and those without stress most (R. A. Cole
 * and J. Jakimik, "A model of speech perception", 1980), consonants that close a syllable more easily than
 * those that begin one (M. A. Redford and R. L. Diehl, "The relative perceptual distinctiveness of initial and
 * final consonants in CVC syllables", JASA 106, 1999), consonants in clusters more easily than single ones
 * (D. H. Klatt, "Linguistic uses of segmental duration in English", JASA 59, 1976), and nasals after a vowel, which is
 * nasal as well (P. S. Beddor, "A coarticulatory path to sound change", Language 85, 2009).
 */
export interface Costs {
  /** That one is taken for the other. */
  swap: (spoken: Phone, heard: Phone) => number;
  /** That one is lost. */
  loss: (spoken: Phone) => number;
  /** That one is heard where there is none. */
  gain: (heard: Phone) => number;
  /** Words that are said weakly, and what one costs to be lost or made up as a whole, at most. */
  weak: ReadonlySet<string>;
  weakLoss: number;
  weakGain: number;
}

/** Features of consonants, in hundredths. */
const voicing = 30;
const placeStep = 9;
const mostPlace = 34;
const mannerSteps = [0, 22, 36, 58, 70, 76, 80];
/** Features of vowels. */
const heightStep = 11;
const backStep = 10;
const rounding = 10;
const length = 12;
const nasality = 25;
const stress = 8;
/** What is heard where there is nothing is less likely than that something is lost. */
const gained = 12;
/** The most that two sounds can differ by: one is lost and the other made up. */
const unlike = 130;

/** What a language makes of the costs; its own table of sounds that it keeps less apart goes before. */
export function createCosts({ near = [], weak }: Pick<SoundWords, "near" | "weak">): Costs {
  const own = new Map<string, number>();
  for (const [one, other, cost] of near) {
    own.set(`${one} ${other}`, Math.round(cost * 100));
    own.set(`${other} ${one}`, Math.round(cost * 100));
  }
  const known = new Map<Phone, Map<Phone, number>>();
  return {
    swap(spoken, heard) {
      if (spoken === heard) return 0;
      let row = known.get(spoken);
      if (!row) known.set(spoken, (row = new Map<Phone, number>()));
      let cost = row.get(heard);
      if (cost === undefined) {
        const stressed = stressDiffers(spoken, heard) ? stress : 0;
        const given = own.get(`${spoken.symbol} ${heard.symbol}`);
        cost = given === undefined ? difference(spoken, heard) : given + stressed;
        row.set(heard, cost);
      }
      return cost;
    },
    loss: lossOf,
    gain: (heard) => lossOf(heard) + gained,
    weak: new Set(weak),
    weakLoss: 45,
    weakGain: 50,
  };
}

function stressDiffers(one: Phone, other: Phone): boolean {
  return one.sort === "vowel" && other.sort === "vowel" && one.stressed !== other.stressed;
}

function difference(spoken: Phone, heard: Phone): number {
  if (spoken.sort === "consonant" && heard.sort === "consonant") return consonants(spoken, heard);
  if (spoken.sort === "vowel" && heard.sort === "vowel") return vowels(spoken, heard);
  const [consonant, vowel] = spoken.sort === "consonant" ? [spoken, heard] : [heard, spoken];
  return consonant.sort === "consonant" && vowel.sort === "vowel"
    ? across(consonant, vowel)
    : unlike;
}

function consonants(spoken: Consonant, heard: Consonant): number {
  const [from, to] = [manners.indexOf(spoken.manner), manners.indexOf(heard.manner)];
  const place = Math.abs(places.indexOf(spoken.place) - places.indexOf(heard.place));
  const told =
    (spoken.voiced === heard.voiced ? 0 : voicing) +
    Math.min(mostPlace, place * placeStep) +
    (mannerSteps[Math.abs(from - to)] ?? unlike);
  // What is weak is covered by what is strong, and not the reverse.
  const covered = energy(heard) > energy(spoken) ? 0 : energy(spoken) - energy(heard);
  const share = spoken.second && heard.second ? secondShare : 1;
  return Math.min(unlike, Math.round((told + covered / 4) * share));
}

function vowels(spoken: Vowel, heard: Vowel): number {
  const made = (mouths(spoken.from, heard.from) + mouths(spoken.to, heard.to)) / 2;
  const told =
    made +
    (spoken.long === heard.long ? 0 : length) +
    (spoken.nasal === heard.nasal ? 0 : nasality) +
    (spoken.stressed === heard.stressed ? 0 : stress);
  return Math.min(unlike, Math.round(told));
}

function mouths(one: Mouth, other: Mouth): number {
  return (
    Math.abs(one.height - other.height) * heightStep +
    Math.abs(one.back - other.back) * backStep +
    (one.round === other.round ? 0 : rounding)
  );
}

/** Glides are near the vowels that they are made like, and a vocalic r near its vowel. */
function across(consonant: Consonant, vowel: Vowel): number {
  const { height, back } = vowel.from;
  if (consonant.symbol === "j" && height <= 1 && back <= 1) return 40;
  if (consonant.symbol === "w" && height <= 2 && back >= 3) return 40;
  if (consonant.symbol === "ɹ" && height === 4 && back === 2) return 45;
  if (consonant.symbol === "ʁ" && height === 5) return 40;
  return unlike;
}

/** How much of a sound there is to hear, in hundredths. */
function energy(phone: Phone): number {
  if (phone.sort === "vowel") return phone.stressed ? 110 : 75;
  switch (phone.manner) {
    case "stop":
      return phone.voiced ? 55 : 50;
    case "affricate":
      return 80;
    case "fricative":
      if (phone.place === "alveolar" || phone.place === "postalveolar") return 75;
      return phone.place === "glottal" ? 30 : 42;
    case "nasal":
      return 60;
    default:
      return 52;
  }
}

function lossOf(phone: Phone): number {
  if (phone.sort === "vowel" && phone.symbol === "ə") return 42;
  const long = phone.sort === "vowel" && (phone.long || phone.from !== phone.to) ? 15 : 0;
  const share = phone.sort === "vowel" ? 1 : shareOf(phone);
  return Math.round(energy(phone) * share) + long;
}

function shareOf({ closing, second, manner }: Consonant): number {
  if (closing) return manner === "nasal" ? closingNasalShare : closingShare;
  return second ? secondShare : 1;
}

/**
 * How much of a consonant there is to hear where it closes a syllable, or follows the one that begins it, beside
 * where it begins one: it is shorter there, and a nasal is half in the vowel before it.
 */
const closingShare = 0.7;
const closingNasalShare = 0.5;
const secondShare = 0.75;
