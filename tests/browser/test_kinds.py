"""A first dessert of each kind, and molds drawn or read from a file, in the real interface."""

from pathlib import Path

import trimesh
from playwright.sync_api import Page, expect

from fernbell.core.desserts.kinds import KINDS
from tests.browser.conftest import come_in, enter, palette, seek
from tests.core.solids import stl_of


def begin(page: Page, kind: str, name: str) -> None:
    palette(page, "draw a new")
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill(name)
    dialog.get_by_role("radio", name=kind, exact=True).click()
    dialog.get_by_role("button", name="Draw it").click()
    expect(dialog).to_be_hidden()
    expect(page.get_by_role("group", name="The cut")).to_be_visible()


def part(page: Page, name: str) -> None:
    page.get_by_role("list", name="Parts").get_by_role("button", name=name).first.click()


def test_a_rolled_log_with_a_core_grows_as_it_is_spread_thicker(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Log, rolled", "Night log")
    # By hand, 20 of the sheet left bare: sqrt(25² + 4 x (290 x 10 + 270 x 8) / pi) = 84.07 mm.
    words = page.locator("ol.unseen")
    expect(words).to_contain_text("84.07 mm across")
    parts = page.get_by_role("list", name="Parts").get_by_role("button")
    parts.filter(has_text="8 mm").first.click()
    enter(page, "Thickness", "10")
    # sqrt(25² + 4 x (290 x 10 + 270 x 10) / pi) = 88.06 mm.
    expect(words).to_contain_text("88.06 mm across")
    strip = page.get_by_role("list", name="Building, stage by stage")
    for stage in ("Bake", "Spread", "Freeze", "Roll", "Trim"):
        expect(strip).to_contain_text(stage)
    expect(page.get_by_role("img", name="15 slices")).to_be_visible()


def test_a_roll_too_thick_to_close_is_said_with_its_numbers(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Log, rolled", "Stout log")
    part(page, "Rhubarb jelly")
    enter(page, "Across", "120")
    findings = page.get_by_role("region", name="Findings")
    expect(findings).to_contain_text("it does not close")


def test_a_deep_tart_is_lined_and_filled(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Tart", "Deep tart")
    seek(page, "Made in", "Fluted pan 28 cm, deep")
    expect(page.get_by_role("button", name="1 × Ø 28 cm")).to_be_visible()
    part(page, "Buckwheat paste")
    enter(page, "Thickness", "4")
    expect(page.locator("ol.unseen")).to_contain_text("a lining of 4 mm, up to 35 mm")
    part(page, "Dark ganache")
    enter(page, "Filled to", "32")
    expect(page.locator("ol.unseen")).to_contain_text("fills the rest up to 32 mm")


def test_two_dozen_domes_say_how_many_trays(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Domes", "Small domes")
    enter(page, "How many desserts", "24")
    expect(page.get_by_role("region", name="Make")).to_contain_text("3trays")


def test_puffs_are_made_in_two_sizes(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Puffs", "Two puffs")
    seek(page, "Add a size", "Small puff")
    expect(page.get_by_role("button", name="1 × Ø 3.38 cm")).to_be_visible()
    expect(page.get_by_text("Follows the first size")).to_be_visible()


def test_cups_for_forty_are_layers_in_a_glass(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Cup", "Forty cups")
    enter(page, "How many desserts", "40")
    expect(page.get_by_role("region", name="What it takes")).to_contain_text("All 40")
    expect(page.locator("ol.unseen")).to_contain_text("wall to wall, from 0 to 10 mm")


def test_every_kind_is_offered_with_its_picture(page: Page, demo: str) -> None:
    come_in(page, demo)
    palette(page, "draw a new")
    for one in KINDS:
        shown = page.get_by_role("radio", name=one.title, exact=True)
        expect(shown.locator("path").first).to_be_visible()
        assert shown.locator("path").count() >= 1


def test_a_profile_is_drawn_by_its_points(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Molds", exact=True).click()
    page.get_by_role("complementary").get_by_role("link", name="Tart pan 24 cm").click()
    slip = page.get_by_role("region", name="Mold", exact=True)
    # pi/3 x 25 x (110² + 110 x 120 + 120²) = 1039 ml; 1 mm higher 26 / 25 of it.
    expect(slip).to_contain_text("1\u202f039")
    slip.get_by_role("button", name="Point 2").focus()
    page.keyboard.press("ArrowUp")
    expect(page.get_by_label("At height, point 2")).to_have_value("26")
    expect(slip).to_contain_text("1\u202f081")


def test_a_mesh_is_loaded_and_a_wrong_unit_is_told(page: Page, demo: str, tmp_path: Path) -> None:
    come_in(page, demo)
    file = tmp_path / "ball.stl"
    file.write_bytes(stl_of(trimesh.creation.icosphere(3, 40)))
    page.get_by_role("link", name="Molds", exact=True).click()
    page.get_by_role("button", name="From a drawing or a scan").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill("Scanned ball")
    dialog.get_by_text("an STL mesh").click()
    dialog.locator("input[type=file]").set_input_files(file)
    dialog.get_by_text("m", exact=True).click()
    dialog.get_by_role("button", name="Read it").click()
    expect(dialog.get_by_role("alert")).to_contain_text("another unit than m")
    dialog.get_by_text("mm", exact=True).click()
    dialog.get_by_role("button", name="Read it").click()
    expect(dialog).to_be_hidden()
    # 4/3 pi 4³ = 268 ml, a little less inside flat faces.
    expect(page.get_by_role("region", name="Mold", exact=True)).to_contain_text("read from a mesh")
    expect(page.get_by_role("link", name="Scanned ball").first).to_be_visible()
