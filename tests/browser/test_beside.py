"""Formulas side by side, a batch that did well, and steps that hold more than a line of text."""

import re

import pytest
from playwright.sync_api import Page, expect

from tests.browser.conftest import come_in, enter, open_formula, seek


def test_formulas_are_marked_on_the_shelf_and_stand_in_the_order_one_wants(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Side by side …").click()
    expect(page.get_by_role("status").filter(has_text="Mark two to 6.")).to_be_visible()
    for name in ("Dark ganache", "White chocolate mousse"):
        page.get_by_label(f"{name}, side by side").first.check()
    page.get_by_role("link", name="Set 2 side by side").click()
    table = page.get_by_role("table", name="Formulas side by side")
    expect(table.get_by_role("columnheader").first).to_contain_text("Dark ganache")
    # 248 g of 540 g weighed: 45.9 g in 100 g.
    dark = table.get_by_role("row", name=re.compile("^Couverture, dark 66 %"))
    expect(dark.get_by_role("cell").first).to_contain_text("45.9")
    expect(table.get_by_role("row", name=re.compile("^Keeps, usually"))).to_contain_text("cold")
    dark.get_by_role("button").first.click()
    expect(page.get_by_role("dialog")).to_contain_text("100 × 248 / 540")
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Dark ganache further right").click()
    expect(table.get_by_role("columnheader").first).to_contain_text("White chocolate mousse")
    seek(page, "A bite of", "Foghorn domes")
    bite = table.get_by_role("row", name=re.compile("^Sweetness of a bite of Foghorn domes"))
    mousse, ganache = (float(bite.get_by_role("cell").nth(at).inner_text()) for at in (0, 1))
    assert mousse < ganache
    page.reload()
    expect(table.get_by_role("columnheader").first).to_contain_text("White chocolate mousse")
    page.get_by_role("button", name="Take Dark ganache away").click()
    expect(page.get_by_text("Choose two to six formulas here")).to_be_visible()


def test_a_batch_that_sliced_well_moves_the_dial_until_it_is_unmarked(
    page: Page, demo: str
) -> None:
    open_formula(page, demo, "Dark ganache")
    dial = page.get_by_role("region", name="The dial")
    expect(dial).not_to_contain_text("This kitchen's own")
    changed = page.get_by_role("region", name="What changed")
    mark = changed.get_by_role("button", name="Revision 1 sliced well")
    mark.click()
    expect(dial).to_contain_text("This kitchen's own")
    expect(dial).to_contain_text("Dark ganache, revision 1")
    expect(mark).to_have_attribute("aria-pressed", "true")
    mark.click()
    expect(dial).not_to_contain_text("This kitchen's own")


@pytest.mark.parametrize("keyboard", [False, True], ids=["pointer", "keyboard"])
def test_a_step_holds_a_range_and_an_oven_that_goes_on(
    page: Page, demo: str, *, keyboard: bool
) -> None:
    open_formula(page, demo, "Buckwheat paste")
    steps = page.get_by_role("list", name="Steps").get_by_role("listitem")
    head = steps.nth(3).get_by_role("button").first
    if keyboard:
        head.focus()
        page.keyboard.press("Enter")
    else:
        head.click()
    fields = steps.nth(3)
    fields.get_by_label("up to").first.fill("170")
    fields.get_by_label("up to").first.press("Enter")
    expect(head).to_contain_text("160–170 °C")
    goes_on = fields.get_by_role("button", name="The oven goes on …")
    if keyboard:
        goes_on.focus()
        page.keyboard.press("Enter")
    else:
        goes_on.click()
    expect(head).to_contain_text("then 180 °C")
    enter(page, "Heat", "140", within=fields)
    expect(head).to_contain_text("then 140 °C")
    fields.get_by_label("up to").first.fill("150")
    fields.get_by_label("up to").first.press("Enter")
    expect(page.get_by_text("must be at least 160").first).to_be_visible()
    fields.get_by_label("up to").first.fill("165")
    fields.get_by_label("up to").first.press("Enter")
    expect(head).to_contain_text("160–165 °C")
    expect(page.get_by_text(re.compile(r"saved \d\d:\d\d"))).to_be_visible()
    page.reload()
    expect(steps.nth(3)).to_contain_text("160–165 °C")
    expect(steps.nth(3)).to_contain_text("then 140 °C")
