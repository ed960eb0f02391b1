"""The front end's types are those of the OpenAPI document."""

import subprocess
from pathlib import Path

from tests.conftest import ROOT


def test_the_typescript_types_are_up_to_date(tmp_path: Path) -> None:
    fresh = tmp_path / "schema.d.ts"
    generator = ROOT / "web" / "node_modules" / ".bin" / "openapi-typescript"
    command = [str(generator), str(ROOT / "docs" / "openapi.json"), "-o", str(fresh)]
    subprocess.run(command, check=True, capture_output=True)
    told = "run: npm run types, in web/"
    assert (ROOT / "web" / "src" / "api" / "schema.d.ts").read_text() == fresh.read_text(), told
