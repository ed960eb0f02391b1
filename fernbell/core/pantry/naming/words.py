"""What only describes a thing, and does not say what it is."""

from fernbell.core.measures import CONTAINERS

_DESCRIBES = """
a about all an any apiece approximately at beat beaten best big blanched bloomed boiling broken
chilled chopped chunk chunks clean coarse coarsely cold cool cooled cored crumbled crushed cube
cubed cubes cut deseeded dice diced divided drained dusting each eu extra fine finely finest firm
firmly for free fresh freshly from frozen gently good grade grated grease greasing halved halves
hand heaped homemade hot hulled husked in into jumbo l large level lightly little loose loosely
lukewarm m mashed medium melted mild more of off only optional organic packed pan pasteurized
peeled piece pieces pitted plus pounded preferably premium pressed pure quality quartered range
rather raw ready real refrigerated removed ripe roasted rolling room roughly rounded s scant
scored scraped seeded separated serve serving shaved shelled shop shredded sieved sifted size
skinned slice sliced slightly slivered small soaked soft softened spare split sprinkling squeezed
standard stemmed stirred stoned store strained strip such superior tap temperature tempered thawed
the their thin thinly tin to toasted topped topping torn trimmed unbeaten unblanched uncooked
unpeeled unwaxed us use very warm warmed washed waxed well whipped whisked whole with xl your
"""
DESCRIPTIONS = frozenset((*_DESCRIBES.split(), *CONTAINERS, *CONTAINERS.values()))
"""Words that say how a thing is prepared, sized or meant, and not what it is: common practice."""
