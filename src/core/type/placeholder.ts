/** Words of our own for each language, of short and long ones mixed as they are in it; they say nothing. */
const WORDS: Readonly<Record<string, string>> = {
  en:
    'moor night lantern under slowly the a of and a path the stones carry weather over hedges until morning ' +
    'quiet water along an old wall with heather somebody leaves bread for the owls again while clouds gather ' +
    'beyond the ford and nobody minds how late it has become',
  de:
    'Heide Nacht Laterne unter langsam der die das und ein Weg die Steine tragen Wetter über Hecken bis zum ' +
    'Morgen stilles Wasser entlang einer alten Mauer mit Ginster jemand lässt Brot für die Eulen während ' +
    'Wolken jenseits der Furt zusammenziehen und niemand fragt wie spät es geworden ist',
  fr:
    'lande nuit lanterne sous lentement le la les et un chemin les pierres portent le temps par-dessus les ' +
    'haies jusqu’au matin une eau calme le long d’un vieux mur quelqu’un laisse du pain aux chouettes pendant ' +
    'que les nuages se rassemblent au-delà du gué et personne ne demande quelle heure il est',
  es:
    'páramo noche farol bajo despacio el la los y un camino las piedras llevan el tiempo sobre los setos hasta ' +
    'la mañana agua quieta junto a un muro viejo alguien deja pan para los búhos mientras las nubes se juntan ' +
    'más allá del vado y nadie pregunta qué tarde se ha hecho',
  it:
    'brughiera notte lanterna sotto piano il la i e un sentiero le pietre portano il tempo sopra le siepi fino ' +
    'al mattino acqua quieta lungo un vecchio muro qualcuno lascia il pane ai gufi mentre le nuvole si ' +
    'radunano oltre il guado e nessuno chiede quanto sia tardi',
  nl:
    'heide nacht lantaarn onder langzaam de het een en pad de stenen dragen weer over heggen tot de ochtend ' +
    'stil water langs een oude muur iemand laat brood voor de uilen terwijl wolken zich verzamelen voorbij de ' +
    'voorde en niemand vraagt hoe laat het is geworden',
  pt:
    'charneca noite lanterna sob devagar o a os e um caminho as pedras levam o tempo por cima das sebes até de ' +
    'manhã água quieta ao longo de um muro velho alguém deixa pão para as corujas enquanto as nuvens se juntam ' +
    'além do vau e ninguém pergunta como se fez tarde',
  pl:
    'wrzosowisko noc latarnia pod powoli i ścieżka kamienie niosą pogodę nad ' +
    'żywopłotami aż do rana cicha woda ' +
    'wzdłuż starego muru ktoś zostawia chleb dla sów a chmury zbierają się za brodem ' +
    'i nikt nie pyta jak późno ' +
    'się zrobiło',
  cy:
    'rhos nos llusern dan yn araf y a ac o llwybr mae’r cerrig yn cario’r tywydd dros y gwrychoedd tan y bore ' +
    'dŵr tawel ar hyd hen wal rhywun yn gadael bara i’r tylluanod tra bo cymylau’n ' +
    'casglu y tu hwnt i’r rhyd a ' +
    'neb yn gofyn pa mor hwyr yw hi',
};

/** A stream of numbers from 0 up to 1 that is the same for the same seed (a linear congruence). */
function chance(seed: number): () => number {
  let state = seed >>> 0 || 1;
  return () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return state / 2 ** 32;
  };
}

/**
 * Words that stand in until the real ones come, in sentences and paragraphs.
 * @param letters about how many letters, spaces counted
 * @param seed    the same seed gives the same words
 */
export function placeholderText(language: string, letters: number, seed = 1): string {
  const words = (WORDS[language.toLowerCase().split('-')[0] ?? 'en'] ?? WORDS['en'] ?? '').split(' ');
  const next = chance(seed);
  const paragraphs: string[] = [];
  let count = 0;
  while (count < letters) {
    const sentences: string[] = [];
    const most = 2 + Math.floor(next() * 4);
    for (let s = 0; s < most && count < letters; s += 1) {
      const length = 6 + Math.floor(next() * 10);
      const from = Math.floor(next() * words.length);
      const list = Array.from(
        { length },
        (_, i) => words[(from + i * (1 + Math.floor(next() * 2))) % words.length] ?? '',
      );
      const sentence = list.join(' ');
      sentences.push(`${sentence.charAt(0).toLocaleUpperCase(language)}${sentence.slice(1)}.`);
      count += sentence.length + 2;
    }
    paragraphs.push(sentences.join(' '));
  }
  return paragraphs.join('\n');
}
