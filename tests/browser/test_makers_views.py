"""What a maker sees beside the cut: a log from the side, templates, other desserts with it; and
molds found by what they hold.
"""

import re

from playwright.sync_api import Page, expect

from tests.browser.conftest import come_in, enter, seek
from tests.browser.test_kinds import begin, part


def open_dessert(page: Page, name: str) -> None:
    seek(page, "Dessert", name)
    expect(page.locator("ol.unseen")).to_contain_text(name)


def test_a_log_is_seen_from_the_side_and_flat_and_rolled_to_a_width(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_dessert(page, "Hedgerow log")
    side = page.get_by_role("img", name=re.compile("From the side: 390 mm, 12 mm off each end"))
    expect(side).to_be_visible()
    # Fourteen strokes make fifteen slices; the log, its two ends, its two knots.
    expect(side.locator(".knife")).to_have_count(14)
    expect(side.locator(".shape")).to_have_count(3)
    expect(page.get_by_role("img", name="Flat, before it is rolled")).to_contain_text("390")
    part(page, "Poppy-seed roulade")
    enter(page, "Rolled to, across", "60")
    words = page.locator("ol.unseen")
    expect(words).to_contain_text("60 mm across")
    # By hand: (pi (60² - 22²) / 4 + 20 x 7) / 15 = 172.5 mm of the sheet, 20 of them left bare.
    expect(page.get_by_role("img", name="Flat, before it is rolled")).to_contain_text("172.5")
    enter(page, "Rolled to, across", "95")
    expect(page.get_by_role("region", name="Findings")).to_contain_text("the pan gives 290 mm")


def test_the_log_is_dragged_thicker_by_its_handle(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_dessert(page, "Hedgerow log")
    part(page, "Poppy-seed roulade")
    enter(page, "Rolled to, across", "60")
    words = page.locator("ol.unseen")
    expect(words).to_contain_text("60 mm across")
    handle = page.get_by_role("slider", name="Poppy-seed roulade, by sheet: roll, across")
    handle.focus()
    for _ in range(4):
        page.keyboard.press("ArrowRight")
    expect(words).to_contain_text("64 mm across")


def test_domes_are_set_on_a_tart_and_taken_off(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_dessert(page, "Beekeeper's tart")
    takes = page.get_by_role("region", name="What it takes")
    expect(takes).to_contain_text("Finished weightone1\u202f090")
    seek(page, "Set another one on it", "Foghorn domes")
    with_it = page.get_by_role("region", name="Other desserts with it")
    enter(page, "How many", "2", within=with_it)
    expect(takes).to_contain_text("2 on each")
    # 1 090 g and two domes of 149.8 g.
    expect(takes).to_contain_text("Finished weightone1\u202f390")
    expect(page.get_by_role("list", name="Building, stage by stage")).to_contain_text(
        "Set on Foghorn domes"
    )
    enter(page, "How many", "9", within=with_it)
    expect(page.get_by_role("region", name="Findings")).to_contain_text("stands out over the edge")
    enter(page, "How many", "0", within=with_it)
    expect(with_it.get_by_role("alert").or_(with_it.locator(".wrong"))).to_contain_text(
        "at least 1"
    )
    enter(page, "How many", "1", within=with_it)
    with_it.get_by_role("button", name="Take out").click()
    expect(takes).to_contain_text("Finished weightone1\u202f090")


def test_a_template_is_drawn_with_its_part(page: Page, demo: str) -> None:
    come_in(page, demo)
    begin(page, "Plated shell", "Night shell")
    parts = page.get_by_role("list", name="Parts").get_by_role("button")
    parts.filter(has_text="5 × 45 × 30 mm").click()
    template = page.get_by_role("img", name="Template, 5 a dessert")
    expect(template).to_contain_text("45")
    expect(template).to_contain_text("30")
    strip = page.get_by_role("list", name="Building, stage by stage")
    expect(strip).to_contain_text("Pour Dark ganache")


def test_molds_are_found_by_what_they_hold(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Molds", exact=True).click()
    every = page.get_by_role("complementary", name="Every mold")
    wall = page.locator(".wall").get_by_role("link")
    expect(wall.nth(30)).to_be_visible()
    find = every.get_by_role("textbox", name="Find a mold")
    find.fill("holds 1.2 to 1.5 l")
    expect(every.get_by_role("link").first).to_be_visible()
    expect(wall).to_have_count(every.get_by_role("link").count())
    for held in wall.locator(".quiet").all_text_contents():
        assert 1200 <= float(re.sub(r"[^\d.]", "", held)) <= 1500
    find.fill("over 90 l")
    expect(page.get_by_text("None like that hangs here")).to_be_visible()
    find.fill("dome 8 cm")
    expect(wall.first).to_contain_text("Domes 8 cm")


def test_a_mold_says_what_stands_in_it_and_what_a_bath_takes(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Molds", exact=True).click()
    page.get_by_role("complementary").get_by_role("link", name="Tart pan 24 cm").click()
    slip = page.get_by_role("region", name="Mold", exact=True)
    expect(slip.get_by_role("region", name="What stands in it")).to_contain_text("Insert that fits")
    expect(slip.get_by_role("img", name=re.compile("Paper for blind baking"))).to_be_visible()
    page.get_by_role("complementary").get_by_role("link", name=re.compile("Ramekin")).click()
    seek(page, "In a water bath, on", "Sheet pan 60 × 40")
    expect(slip).to_contain_text("of hot water, to half their height")
