package web

import (
	"crypto/rand"
	"fmt"
	"net"
	"net/http"
	"slices"
	"strings"

	"github.com/labstack/echo/v5"
)

// guardHost answers only to the names the server is meant to be called by, so
// that a name rebound to this machine by a foreign page leads nowhere.
func guardHost(more []string) echo.MiddlewareFunc {
	known := append(slices.Clone(itself), more...)
	return func(next echo.HandlerFunc) echo.HandlerFunc {
		return func(c *echo.Context) error {
			if !slices.Contains(known, calledBy(c.Request())) {
				return echo.NewHTTPError(http.StatusMisdirectedRequest,
					"This server is not called by that name; start it with --host to allow it.")
			}
			return next(c)
		}
	}
}

// itself is what a computer calls itself by.
var itself = []string{"localhost", "127.0.0.1", "::1"}

// calledBy is the name a browser calls the server by.
func calledBy(r *http.Request) string {
	host := r.Host
	if name, _, err := net.SplitHostPort(host); err == nil {
		host = name
	}
	return strings.Trim(strings.ToLower(host), "[]")
}

// onThisComputer tells that a browser runs where the server does: another one, also behind a proxy, calls it by a name
// of its own.
func onThisComputer(r *http.Request) bool { return slices.Contains(itself, calledBy(r)) }

// guardOrigin refuses changes that a page of another origin asks for.
func guardOrigin() echo.MiddlewareFunc {
	guard := http.NewCrossOriginProtection()
	return func(next echo.HandlerFunc) echo.HandlerFunc {
		return func(c *echo.Context) error {
			if err := guard.Check(c.Request()); err != nil {
				return echo.NewHTTPError(http.StatusForbidden, "Changes are taken from this app’s own pages only.")
			}
			return next(c)
		}
	}
}

const nonceKey = "nonce"

// secureHeaders allows nothing from outside this origin. Styles made at run
// time carry a nonce of their own page.
func secureHeaders(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		nonce := rand.Text()
		c.Set(nonceKey, nonce)
		h := c.Response().Header()
		h.Set("Content-Security-Policy",
			fmt.Sprintf("default-src 'none'; script-src 'self'; style-src 'self' 'nonce-%s'; font-src 'self'; img-src 'self' data:; connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'", nonce))
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		h.Set("Cross-Origin-Opener-Policy", "same-origin")
		h.Set("Cross-Origin-Resource-Policy", "same-origin")
		return next(c)
	}
}

// private keeps what is answered of a workshop out of every cache but where the answer says otherwise.
func private(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		c.Response().Header().Set("Cache-Control", "no-store")
		return next(c)
	}
}
