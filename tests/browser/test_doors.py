"""The door in the browser: tries are stopped and told, a forgotten password is given anew."""

import re

from playwright.sync_api import Page, expect

from tests.browser.conftest import come_in

OWN, LATER = "a cup of cold cream", "two cups of cold cream"


def menu(page: Page, item: str) -> None:
    page.get_by_role("button", name="Wrenmoor Hall").click()
    page.get_by_role("menuitem", name=item).click()


def try_to_enter(page: Page, password: str) -> None:
    page.get_by_label("Password", exact=True).fill(password)
    page.keyboard.press("Enter")


def test_a_forgotten_password_is_given_anew_and_too_many_tries_are_told(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    menu(page, "Members of the kitchen")
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill("Lea Moor")
    dialog.get_by_label("Name to sign in with").fill("lea moor")
    dialog.get_by_label("First password").fill("butter in last")
    dialog.get_by_role("button", name="Add to the kitchen").click()
    expect(dialog).to_contain_text("letters a to z")
    dialog.get_by_label("Name to sign in with").fill("lea")
    dialog.get_by_role("button", name="Add to the kitchen").click()
    lea = dialog.get_by_role("listitem").filter(has_text="Lea Moor")
    lea.get_by_role("button", name="New password").click()
    word = dialog.get_by_role("status").locator("strong").inner_text()
    page.keyboard.press("Escape")

    menu(page, "Sign out")
    page.get_by_label("Name to sign in with").fill("lea")
    try_to_enter(page, word)
    page.get_by_label("A password of your own").fill(OWN)
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Wrenmoor Hall")).to_contain_text("Lea Moor")

    menu(page, "Change my password")
    page.get_by_label("Password now").fill("not this one")
    page.get_by_label("New password").fill(LATER)
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_contain_text("This is not your password.")
    page.get_by_label("Password now").fill(OWN)
    page.keyboard.press("Enter")
    expect(page.get_by_role("dialog")).to_be_hidden()

    menu(page, "Sign out")
    page.get_by_label("Name to sign in with").fill("lea")
    told = page.get_by_role("alert")
    for _ in range(10):
        with page.expect_response(re.compile("/api/session$")):
            try_to_enter(page, "wrong, and wrong again")
    expect(told).to_contain_text("wait 5 minutes")
    try_to_enter(page, LATER)
    expect(told).to_contain_text("wait 5 minutes")
    # The demo's own people come in all the same.
    page.get_by_role("button", name="Bram Fenwick").click()
    expect(page.get_by_role("button", name="Wrenmoor Hall")).to_contain_text("Bram Fenwick")
