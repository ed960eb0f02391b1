"""Write the answers down.

python -m tests.core.answers             writes kept.json: what may not move from here on
python -m tests.core.answers full FOLDER writes every answer in full, to compare two commits
python -m tests.core.answers draw        draws the 200 desserts anew
"""

import json
import sys
from pathlib import Path

from tests.core.answers.answers import digits
from tests.core.answers.asked import KEPT, everything, in_brief
from tests.core.answers.given import draw_anew


def main(words: list[str]) -> None:
    """Do what is asked."""
    if words == ["draw"]:
        draw_anew()
    elif words[:1] == ["full"] and len(words) == 2:
        folder = Path(words[1])
        folder.mkdir(parents=True, exist_ok=True)
        for name, answer in everything():
            text = json.dumps(digits(answer), ensure_ascii=False, indent=1)
            (folder / f"{name.replace('/', ' ')}.json").write_text(text)
    elif not words:
        lines = (
            f"{json.dumps(name)}: {json.dumps(in_brief(answer), ensure_ascii=False)}"
            for name, answer in everything()
        )
        KEPT.write_text("{\n" + ",\n".join(lines) + "\n}\n")
    else:
        sys.exit(__doc__)


if __name__ == "__main__":
    main(sys.argv[1:])
