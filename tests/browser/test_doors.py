"""The door in the browser: tries are stopped and told, a forgotten password is given anew."""

import re
import time

from django_otp.plugins.otp_totp.models import TOTPDevice
from playwright.sync_api import Browser, Page, expect

from tests.browser.conftest import come_in
from tests.server.test_second import code_at

OWN, LATER = "a cup of cold cream", "two cups of cold cream"


def menu(page: Page, item: str) -> None:
    page.get_by_role("button", name="Wrenmoor Hall").click()
    page.get_by_role("menuitem", name=item).click()


def try_to_enter(page: Page, password: str) -> None:
    page.get_by_label("Password", exact=True).fill(password)
    # Until the answer to the try before is shown, Enter does nothing.
    expect(page.get_by_role("button", name="Sign in", exact=True)).to_be_enabled()
    page.get_by_label("Password", exact=True).press("Enter")


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


def test_a_code_is_asked_for_at_the_door_and_a_recovery_word_stands_in(
    page: Page, demo: str
) -> None:
    add_lea(page, demo)
    menu(page, "How I come in")
    dialog = page.get_by_role("dialog", name="How I come in")
    expect(dialog.get_by_text("here", exact=True)).to_be_visible()
    dialog.get_by_label("My password").fill(OWN)
    dialog.get_by_role("button", name="Begin").click()
    expect(dialog.get_by_role("img", name="The secret as a QR code")).to_be_visible()
    typed = dialog.get_by_text("or type").inner_text()
    secret = re.sub(r"\s", "", re.search(r"or type ([A-Z2-7 ]+) into", typed)[1])
    dialog.get_by_label("Code", exact=True).fill("000000")
    page.keyboard.press("Enter")
    expect(dialog).to_contain_text("This code does not fit")
    free_again()
    dialog.get_by_label("Code", exact=True).fill(code_at(secret, time.time() - 30))
    page.keyboard.press("Enter")
    words = dialog.get_by_role("status").get_by_role("listitem")
    expect(words).to_have_count(8)
    word = words.first.inner_text()
    page.reload()

    menu(page, "Sign out")
    page.get_by_label("Name to sign in with").fill("lea")
    try_to_enter(page, OWN)
    expect(page.get_by_text("Type the code your app shows now")).to_be_visible()
    page.get_by_label("Code of your app").fill(word)
    page.keyboard.press("Enter")
    expect(page.get_by_role("group", name="The cut")).to_be_visible()


def free_again() -> None:
    """A wrong code holds the next one back for a moment: here that has passed."""
    TOTPDevice.objects.update(throttling_failure_timestamp=None, throttling_failure_count=0)


def test_another_kitchen_is_founded_and_one_goes_to_and_fro(page: Page, demo: str) -> None:
    add_lea(page, demo)
    menu(page, "Found another kitchen")
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("button", name="Found the kitchen").click()
    expect(dialog.locator(".wrong")).to_be_visible()
    dialog.get_by_label("Kitchen", exact=True).fill("The Annex")
    dialog.get_by_role("button", name="Found the kitchen").click()
    expect(page.get_by_role("button", name="The Annex")).to_be_visible()
    page.get_by_role("button", name="The Annex").click()
    page.get_by_role("menuitem", name="Go to Wrenmoor Hall").click()
    expect(page.get_by_role("button", name="Wrenmoor Hall")).to_be_visible()


def test_the_chef_reads_what_happened_and_a_cook_does_not(page: Page, demo: str) -> None:
    add_lea(page, demo)
    page.goto(f"{demo}/record")
    expect(page.get_by_role("alert")).to_contain_text("Only the chef")
    menu(page, "Sign out")
    page.get_by_role("button", name="Ottilie Marsh").click()
    menu(page, "What happened here")
    door = page.get_by_role("region", name="At the door")
    expect(door).to_contain_text("Lea Moor signed in")
    expect(door).to_contain_text("Lea Moor was added: cook, by Ottilie Marsh")
    shelves = page.get_by_role("region", name="On the shelves")
    expect(shelves).to_contain_text("Ottilie Marsh created Reedbed")
    shelves.get_by_role("link", name="Reedbed").click()
    expect(page.get_by_role("group", name="The cut")).to_be_visible()


def test_a_session_elsewhere_is_ended(page: Page, demo: str, browser: Browser) -> None:
    add_lea(page, demo)
    context = browser.new_context(service_workers="block")
    other = context.new_page()
    other.goto(demo)
    other.get_by_label("Name to sign in with").fill("lea")
    try_to_enter(other, OWN)
    expect(other.get_by_role("group", name="The cut")).to_be_visible()
    menu(page, "How I come in")
    dialog = page.get_by_role("dialog", name="How I come in")
    dialog.get_by_role("button", name="End all but this one").click()
    expect(dialog.get_by_role("button", name="End it")).to_have_count(0)
    other.reload()
    expect(other.get_by_label("Name to sign in with")).to_be_visible()
    context.close()


def add_lea(page: Page, demo: str) -> None:
    """Lea Moor, a cook with a password of her own, has come in."""
    come_in(page, demo)
    menu(page, "Members of the kitchen")
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill("Lea Moor")
    dialog.get_by_label("Name to sign in with").fill("lea")
    dialog.get_by_label("First password").fill(OWN)
    dialog.get_by_role("button", name="Add to the kitchen").click()
    expect(dialog.get_by_role("listitem").filter(has_text="Lea Moor")).to_be_visible()
    page.reload()
    menu(page, "Sign out")
    page.get_by_label("Name to sign in with").fill("lea")
    try_to_enter(page, OWN)
    expect(page.get_by_role("group", name="The cut")).to_be_visible()
