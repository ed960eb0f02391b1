"""Formulas set for their job: from nothing, by the dial, swapped, fitted, mended."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.conftest import come_in, open_formula, pick


def grams(page: Page, name: str) -> float:
    return float(page.get_by_label(f"Grams of {name}").input_value())


def dial(page: Page) -> Locator:
    return page.get_by_role("slider")


def test_a_tart_ganache_from_nothing_then_on_milk_chocolate(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Set one for its job").click()
    dialog = page.get_by_role("dialog")
    proposal = dialog.get_by_role("region", name="The proposal")
    expect(proposal).to_contain_text("set number: slices")
    pick(page, "with", "Couverture, dark 70 %")
    expect(proposal).to_contain_text("Couverture, dark 70 %")
    dialog.get_by_label("invert sugar").uncheck()
    expect(proposal).not_to_contain_text("Invert sugar")
    dialog.get_by_label("Finished").fill("900")
    dialog.get_by_label("Finished").press("Enter")
    dialog.get_by_label("Name").fill("Night tart ganache")
    dialog.get_by_role("button", name="Write it down").click()
    expect(page.get_by_label("Formula", exact=True)).to_have_value("Night tart ganache")
    # Set number 1.2 by hand: (41 + 29) % of the couverture / (59 % of the cream + 16 % of the
    # butter + 1 % of the couverture).
    dark, cream, butter = (
        grams(page, name) for name in ("Couverture, dark 70 %", "Cream, 35 %", "Butter, 82 %")
    )
    by_hand = 0.70 * dark / (0.59 * cream + 0.16 * butter + 0.01 * dark)
    assert by_hand == pytest.approx(1.2, abs=0.02)
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile(r"^1\.2.*slices"))

    page.get_by_role("button", name=re.compile("with Couverture, dark 70 %")).click()
    pick(page, "Comes", "Couverture, milk 38 %")
    row = dialog.get_by_role("row", name=re.compile("Set number"))
    expect(row).to_contain_text("0.85")
    # The cream brought milk in before, so only what the method changes is said.
    expect(dialog).to_contain_text("Milk solids scorch")
    expect(dialog).not_to_contain_text("It brings in")
    dialog.get_by_role("button", name="Take rebalanced").click()
    expect(page.get_by_label("Grams of Couverture, milk 38 %")).to_be_visible()
    assert grams(page, "Cream, 35 %") < cream
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile(r"^1\.2.*slices"))
    expect(page.get_by_role("region", name="Findings")).to_be_hidden()
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_label("Grams of Couverture, dark 70 %")).to_have_value(str(int(dark)))


def test_a_caramel_by_temperature_with_the_keyboard(page: Page, demo: str) -> None:
    open_formula(page, demo, "Salted honey caramel")
    what = page.get_by_role("region", name="What it is")
    expect(what.get_by_label("Cooked to")).to_have_value("108")
    water = page.get_by_title("How Water in Salted honey caramel comes about").first
    before = float(water.inner_text().split("%")[0])
    dial(page).focus()
    page.keyboard.press("End")
    expect(what.get_by_label("Cooked to")).to_have_value("112")
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile("112 °C, fills"))
    expect(water).not_to_contain_text(str(before))
    assert float(water.inner_text().split("%")[0]) < before
    expect(what.get_by_title("How Pot, at least comes about")).to_contain_text("l")
    page.keyboard.press("ArrowRight")
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile("thick"))
    expect(page.get_by_role("region", name="Findings")).to_contain_text("Boils at, here")


def test_the_dial_under_the_hand_is_one_step_to_undo(page: Page, demo: str) -> None:
    open_formula(page, demo, "Dark ganache")
    expect(dial(page)).to_be_visible()
    box = page.get_by_text("pipes", exact=True).bounding_box()
    start = dial(page).bounding_box()
    assert box
    assert start
    page.mouse.move(start["x"] + 1, start["y"] + 25)
    page.mouse.down()
    for share in (0.3, 0.6, 1.0):
        page.mouse.move(start["x"] + share * (box["x"] + 20 - start["x"]), start["y"] + 25)
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile("pipes"))
    page.mouse.up()
    expect(page.get_by_text("revision 2")).to_be_visible()
    assert grams(page, "Cream, 35 %") < 214
    expect(page.get_by_role("region", name="Findings")).to_contain_text("pipes")
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_label("Grams of Cream, 35 %")).to_have_value("214")
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile(r"1\.26.*slices"))


def test_a_fit_that_cannot_be_had_names_the_conflict_and_then_is_had(page: Page, demo: str) -> None:
    open_formula(page, demo, "Dark ganache")
    page.get_by_role("button", name="Fit to").click()
    dialog = page.get_by_role("dialog")
    asked = dialog.get_by_role("region", name="What is asked")
    asked.get_by_label("at least").first.fill("1.6")
    asked.get_by_label("at most").first.fill("")
    asked.get_by_label("at most").first.press("Enter")
    for line in ("Couverture, dark 66 %", "Cream, 35 %"):
        asked.get_by_role("button", name="a line that stays").click()
        asked.locator(".ant-select").last.click()
        page.locator(".ant-select-dropdown:visible").get_by_text(line).click()
    asked.get_by_role("button", name="Find the nearest").click()
    found = dialog.get_by_role("region", name="What was found")
    expect(found).to_contain_text("cannot be had together")
    expect(found.get_by_role("listitem")).to_have_count(3)
    expect(found).to_contain_text("set number at least 1.6")
    asked.get_by_role("button", name="Ask no more: Stays").last.click()
    asked.get_by_role("button", name="Find the nearest").click()
    expect(found.get_by_role("row", name=re.compile("Cream, 35 %"))).to_contain_text(
        "set number at least 1.6"
    )
    found.get_by_role("button", name="Take it").click()
    expect(dialog).to_be_hidden()
    assert grams(page, "Couverture, dark 66 %") == 248
    assert grams(page, "Cream, 35 %") < 214


def test_a_mousse_that_would_not_hold_is_mended_by_its_remedy(page: Page, demo: str) -> None:
    open_formula(page, demo, "Yogurt mousse")
    know = page.get_by_role("region", name="Good to know")
    expect(know).to_contain_text("holds")
    gelatin = page.get_by_label(re.compile("Grams of .*elatin"))
    gelatin.fill("1")
    gelatin.press("Enter")
    expect(know).to_contain_text("too soft: more set")
    finding = page.get_by_role("article").filter(has_text="Hold number")
    expect(finding).to_contain_text("below 0.7")
    finding.get_by_role("button", name=re.compile("Put .* more")).click()
    expect(know).not_to_contain_text("too soft")
    expect(dial(page)).to_have_attribute("aria-valuetext", re.compile("slices"))


def test_an_ingredient_is_swapped_in_a_whole_dessert(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("button", name="Swap an ingredient in all of it").click()
    pick(page, "Goes", "Milk, whole")
    pick(page, "Comes", "Oat drink")
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_role("heading", level=3).first).to_be_visible()
    expect(dialog).to_contain_text("It holds no milk any more")
    dialog.get_by_role("button", name=re.compile("Take rebalanced in")).click()
    expect(dialog.get_by_role("status")).to_contain_text("Changed:")
