import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { dictionary } from "cmu-pronouncing-dictionary";
import { shippedPacks } from "../language/shipped.ts";
import { distanceBetween, phonesOf } from "./distance.ts";
import { printIpa, readIpa } from "./phones.ts";
import { createSounds } from "./pronounce.ts";

function packOf(language: string) {
  const pack = shippedPacks.find((each) => each.language === language);
  if (!pack) throw new Error(language);
  return pack;
}

function ipa(language: string, word: string): string {
  return printIpa(createSounds(packOf(language)).waysOf(word)[0] ?? []).replace("ˈ", "");
}

describe("words sound as their letters say in each language", () => {
  test.each([
    ["de", "schalte", "ʃaltə"],
    ["de", "licht", "lɪçt"],
    ["de", "küche", "kʏçə"],
    ["de", "stuhl", "ʃtuːl"],
    ["de", "abend", "aːbənt"],
    ["fr", "lumière", "lymjɛʁ"],
    ["fr", "éteins", "etɛ̃"],
    ["fr", "cuisine", "kɥizin"],
    ["fr", "chauffage", "ʃofaʒ"],
    ["es", "cocina", "kosina"],
    ["es", "veinte", "bejnte"],
    ["es", "garaje", "ɡaɾaxe"],
    ["it", "chiudi", "kjudi"],
    ["it", "luce", "lutʃe"],
    ["it", "cucina", "kutʃina"],
    ["nl", "keuken", "køːkən"],
    ["nl", "licht", "lɪxt"],
    ["nl", "uit", "œyt"],
    ["en", "wheel", "wiːl"],
    ["en", "glaze", "ɡleɪz"],
    ["en", "knock", "nɑk"],
  ])("%s: %s", (language, word, sound) => {
    expect(ipa(language, word)).toBe(sound);
  });

  test("a dictionary of English goes before the letters, with all its ways", () => {
    const { waysOf } = createSounds(packOf("en"), { dictionary });
    expect(waysOf("route").map(printIpa)).toEqual(["ˈɹuːt", "ˈɹaʊt"]);
    expect(printIpa(waysOf("glost")[0] ?? [])).toBe("ˈɡloʊst");
  });

  test.each([
    ["unmute", "ənmˈjuːt"],
    ["kilnroom", "ˈkɪlnɹuːm"],
    ["glazings", "ˈɡleɪzɪŋz"],
    ["reglazed", "ɹiːɡˈleɪzd"],
    ["unpaused", "ənˈpɔzd"],
    ["workbenches", "ˈwɜkbɛntʃɪz"],
    ["glazebacks", "ˈɡleɪzbæks"],
  ])("and tells of the parts of a word that it does not have: %s", (word, sound) => {
    const { waysOf } = createSounds(packOf("en"), { dictionary });
    expect(dictionary).not.toHaveProperty([word]);
    expect(waysOf(word).map(printIpa)).toContain(sound);
  });

  test("an accent says where the stress is, and a rule where none does", () => {
    const { waysOf } = createSounds(packOf("es"));
    const told = ["jardín", "lámpara", "cocina", "apagar"].map((word) =>
      printIpa(waysOf(word)[0] ?? []),
    );
    expect(told).toEqual(["xaɾˈdin", "ˈlampaɾa", "koˈsina", "apaˈɡaɾ"]);
  });
});

describe("a pronunciation in IPA", () => {
  test("is read with its stress, length and other spellings", () => {
    const read = readIpa("ˈt͡ʃɜːtʃ ˌɹoʊd");
    expect(read.ok && printIpa(read.phones)).toBe("ˈtʃɜːtʃɹoʊd");
  });

  test("tells the first sign that is none", () => {
    expect(readIpa("kɪ8n")).toEqual({ ok: false, at: 2, symbol: "8" });
  });

  test("is the same when it is written and read again", () => {
    const symbol = fc.constantFrom("p", "tʃ", "ɪ", "aː", "ɔ̃", "ˈe", "ŋ", "ç", "ʁ", "aɪ", "œy");
    fc.assert(
      fc.property(fc.array(symbol, { minLength: 1, maxLength: 8 }), (symbols) => {
        const read = readIpa(symbols.join(" "));
        const again = read.ok && readIpa(printIpa(read.phones));
        expect(read.ok && again && again.ok && again.phones).toEqual(read.ok && read.phones);
      }),
    );
  });
});

describe("how far words are apart", () => {
  const sounds = createSounds(packOf("en"), { dictionary });
  const away = (one: string, other: string): number =>
    distanceBetween(
      phonesOf(one.split(" "), sounds),
      phonesOf(other.split(" "), sounds),
      sounds.costs,
    ) ?? Infinity;

  test("sounds that differ in one feature are nearer than those that differ in several", () => {
    const pairs = [
      [away("bin", "pin"), away("bin", "sin")],
      [away("thin", "fin"), away("thin", "min")],
      [away("thirty", "thirteen"), away("thirty", "sixty")],
      [away("fan", "van"), away("fan", "lamp")],
    ];
    for (const [near = 0, far = 0] of pairs) expect(near).toBeLessThan(far);
  });

  test("what sounds alike is told from what does not by words of the same length", () => {
    expect(away("for", "four")).toBe(0);
    expect(away("two", "to")).toBeLessThan(away("two", "five"));
    expect(away("wheel lamp", "well lamp")).toBeLessThan(away("wheel lamp", "till lamp"));
  });

  test("what is weak is lost more easily than it is made up", () => {
    expect(away("off", "on")).toBeLessThan(away("on", "off"));
    expect(away("unlock", "lock")).toBeLessThan(away("lock", "unlock"));
  });

  const word = fc.constantFrom(
    "kiln",
    "vent",
    "fan",
    "lamp",
    "on",
    "off",
    "the",
    "thirteen",
    "thirty",
  );
  test("nothing is nearer to a word than itself, and a limit only cuts off", () => {
    fc.assert(
      fc.property(word, word, fc.nat(300), (one, other, limit) => {
        const phones = [one, other].map((each) => phonesOf([each], sounds));
        const [from = [], to = []] = phones;
        expect(distanceBetween(from, from, sounds.costs)).toBe(0);
        const whole = distanceBetween(from, to, sounds.costs) ?? Infinity;
        const cut = distanceBetween(from, to, sounds.costs, limit);
        expect(cut).toBe(whole > limit ? undefined : whole);
      }),
    );
  });
});
