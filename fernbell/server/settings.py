"""Django settings; everything that differs between machines comes from the environment."""

import os
import secrets
from datetime import timedelta
from pathlib import Path

from csp.constants import NONE, SELF, UNSAFE_INLINE
from django.core.exceptions import ImproperlyConfigured

ROOT = Path(__file__).resolve().parent.parent.parent
WEB_DIST = ROOT / "web" / "dist"


def _whole(name: str) -> int:
    """A whole number from the environment; 0 where nothing is said."""
    said = os.environ.get(name) or "0"
    if not said.isdecimal():
        raise ImproperlyConfigured(f"{name}={said}: a whole number, such as 1.")
    return int(said)


SECRET_KEY = os.environ.get("FERNBELL_SECRET", "only-for-tests-and-tools")
DEMO = os.environ.get("FERNBELL_DEMO") == "1"
DEBUG = False
# Told apart by what was started, so that no answer of an older one is taken for fresh.
BUILD = os.environ.get("FERNBELL_BUILD") or secrets.token_hex(6)
_said_hosts = os.environ.get("FERNBELL_HOSTS", "")
ALLOWED_HOSTS = ["127.0.0.1", "localhost", *filter(None, _said_hosts.split(","))]
# Whether it is reached by https: over --lan, or through a proxy that says so.
HTTPS = os.environ.get("FERNBELL_HTTPS") == "1"
# Certificate of the machine's own authority, for tablets that are to trust it.
AUTHORITY = os.environ.get("FERNBELL_AUTHORITY", "")

INSTALLED_APPS = [
    "django.contrib.auth",
    "django.contrib.postgres",
    "django.contrib.contenttypes",
    "axes",
    "django_otp",
    "django_otp.plugins.otp_totp",
    "django_otp.plugins.otp_static",
    "procrastinate.contrib.django",
    "fernbell.server.rows",
    "fernbell.server.kitchens",
    "fernbell.server.pantry",
    "fernbell.server.molds",
    "fernbell.server.formulas",
    "fernbell.server.desserts",
    "fernbell.server.planning",
]
MIDDLEWARE = [
    "django.middleware.security.SecurityMiddleware",
    "whitenoise.middleware.WhiteNoiseMiddleware",
    "csp.middleware.CSPMiddleware",
    "django.middleware.gzip.GZipMiddleware",
    "django.contrib.sessions.middleware.SessionMiddleware",
    "django.middleware.common.CommonMiddleware",
    "django.middleware.csrf.CsrfViewMiddleware",
    "django.contrib.auth.middleware.AuthenticationMiddleware",
    "django.middleware.clickjacking.XFrameOptionsMiddleware",
    "fernbell.server.kitchens.freshness.Freshness",
]
ROOT_URLCONF = "fernbell.server.urls"
WSGI_APPLICATION = "fernbell.server.wsgi.application"

DATABASES = {
    "default": {
        "ENGINE": "django.db.backends.postgresql",
        "HOST": "127.0.0.1",
        "PORT": os.environ.get("FERNBELL_DB_PORT", "5432"),
        "NAME": os.environ.get("FERNBELL_DB_NAME", "fernbell"),
        "USER": "fern",
        "PASSWORD": os.environ.get("FERNBELL_DB_PASSWORD", ""),
        "CONN_MAX_AGE": 600,
        # After the database was away, a connection from before is not taken for one that works.
        "CONN_HEALTH_CHECKS": True,
        # Compiling a query takes longer than any of ours runs; what waits longer is stopped.
        "OPTIONS": {
            "connect_timeout": 3,
            "options": "-c jit=off -c statement_timeout=20s -c lock_timeout=5s "
            "-c idle_in_transaction_session_timeout=60s",
        },
    }
}
DEFAULT_AUTO_FIELD = "django.db.models.BigAutoField"

SESSION_ENGINE = "fernbell.server.kitchens.sessions"
SESSION_COOKIE_HTTPONLY = True
SESSION_COOKIE_SAMESITE = "Lax"
CSRF_COOKIE_SAMESITE = "Lax"
SESSION_COOKIE_SECURE = CSRF_COOKIE_SECURE = SECURE_SSL_REDIRECT = HTTPS
# Whoever watches from this machine asks without TLS.
SECURE_REDIRECT_EXEMPT = [r"^health/"]
SECURE_HSTS_SECONDS = _whole("FERNBELL_HSTS")
AUTHENTICATION_BACKENDS = [
    "axes.backends.AxesStandaloneBackend",
    "django.contrib.auth.backends.ModelBackend",
]
# How many proxies of the house stand in front; none, unless it is said.
PROXIES = _whole("FERNBELL_PROXIES")
SECURE_PROXY_SSL_HEADER = ("HTTP_X_FORWARDED_PROTO", "https") if PROXIES else None
AXES_LOCKOUT_PARAMETERS = ["username", "ip_address"]
AXES_FAILURE_LIMIT = 10
AXES_COOLOFF_TIME = timedelta(minutes=5)
AXES_RESET_ON_SUCCESS = True
AXES_RESET_COOL_OFF_ON_FAILURE_DURING_LOCKOUT = False
AXES_CLIENT_IP_CALLABLE = "fernbell.server.kitchens.place.address"
AXES_USERNAME_CALLABLE = "fernbell.server.kitchens.doors.account"
AXES_VERBOSE = False
OTP_TOTP_ISSUER = "Fern Bell"
SILENCED_SYSTEM_CHECKS = [
    "axes.W002",  # its middleware is for pages: here the route says that it was too often
    "security.W004",  # strict transport is asked for: with a certificate of one's own it locks out
    "security.W005",  # what else stands under the domain is its owner's to say
    "security.W021",
]
AUTH_PASSWORD_VALIDATORS = [
    {"NAME": "django.contrib.auth.password_validation.UserAttributeSimilarityValidator"},
    {
        "NAME": "django.contrib.auth.password_validation.MinimumLengthValidator",
        "OPTIONS": {"min_length": 10},
    },
    {"NAME": "django.contrib.auth.password_validation.CommonPasswordValidator"},
]

# Scripts from here only, none in a page; the components write their styles themselves.
CONTENT_SECURITY_POLICY = {
    "DIRECTIVES": {
        "default-src": [SELF],
        "style-src": [SELF, UNSAFE_INLINE],
        "img-src": [SELF, "data:", "blob:"],
        "object-src": [NONE],
        "base-uri": [NONE],
        "form-action": [SELF],
        "frame-ancestors": [NONE],
    }
}

# How long a plan is searched for at most, and how hard for each aim: tests ask for work done, which
# is the same on every machine, and for no seconds.
PLAN_SECONDS = _whole("FERNBELL_PLAN_SECONDS") or 20
PLAN_EFFORT = float(os.environ.get("FERNBELL_PLAN_EFFORT", "inf"))

USE_TZ = True
TIME_ZONE = "UTC"
USE_I18N = False
STATIC_URL = "/static/"  # unused: the built front end is served as it is, from WHITENOISE_ROOT
WHITENOISE_ROOT = WEB_DIST if WEB_DIST.is_dir() else None
# The build names what it writes by its content.
WHITENOISE_IMMUTABLE_FILE_TEST = r"^/assets/.+-[\w-]{8}\.\w+$"
DATA_UPLOAD_MAX_MEMORY_SIZE = 2 * 1024 * 1024

LOGGING = {
    "version": 1,
    "disable_existing_loggers": False,
    "formatters": {
        "lines": {
            "()": "pythonjsonlogger.json.JsonFormatter",
            "format": "%(asctime)s %(levelname)s %(name)s %(message)s",
            "rename_fields": {"asctime": "at", "levelname": "level", "name": "logger"},
        }
    },
    "handlers": {"out": {"class": "logging.StreamHandler", "formatter": "lines"}},
    "root": {"handlers": ["out"], "level": os.environ.get("FERNBELL_LOG", "WARNING")},
    "loggers": {"fernbell": {"level": "INFO"}, "django": {"handlers": [], "propagate": True}},
}
