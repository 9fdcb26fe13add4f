package web_test

import (
	"context"
	"crypto/tls"
	"crypto/x509"
	"encoding/json"
	"fmt"
	"net/http"
	"net/http/httptest"
	"net/url"
	"os"
	"path/filepath"
	"runtime"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/web"
)

// visitor is a browser at the door.
type visitor struct {
	http.Handler
	from   string
	cookie *http.Cookie
}

func (v *visitor) ask(method, path, body string, header ...string) *httptest.ResponseRecorder {
	r := httptest.NewRequest(method, "http://table.example"+path, strings.NewReader(body))
	r.RemoteAddr = v.from
	if body != "" {
		r.Header.Set("Content-Type", "application/x-www-form-urlencoded")
	}
	for i := 0; i+1 < len(header); i += 2 {
		r.Header.Set(header[i], header[i+1])
	}
	if v.cookie != nil {
		r.AddCookie(v.cookie)
	}
	w := httptest.NewRecorder()
	v.ServeHTTP(w, r)
	return w
}

func (v *visitor) enter(key string) *httptest.ResponseRecorder {
	w := v.ask("POST", "/enter", url.Values{"key": {key}}.Encode())
	if set := w.Result().Cookies(); len(set) > 0 {
		v.cookie = set[0]
	}
	return w
}

// guarded is an app that asks for a key, and its clock.
func guarded(t *testing.T, secure bool) (http.Handler, *time.Time) {
	t.Helper()
	now := time.Date(2026, 3, 9, 12, 0, 0, 0, time.UTC)
	return app(t, func(c *web.Config) {
		c.AccessKey, c.Hosts, c.Secure = "correct horse", []string{"table.example"}, secure
		c.Now = func() time.Time { return now }
	}), &now
}

func TestTheAccessKey(t *testing.T) {
	h, now := guarded(t, true)
	v := &visitor{Handler: h, from: "10.0.0.7:1000"}
	assert.Equal(t, 200, v.ask("GET", "/healthz", "").Code)
	assert.Equal(t, 401, v.ask("GET", "/api/v1/plans", "").Code)
	assert.Equal(t, 401, v.ask("PUT", "/api/v1/habits", "").Code)
	sent := v.ask("GET", "/plans/x", "", "Accept", "text/html")
	assert.Equal(t, []any{303, "/enter"}, []any{sent.Code, sent.Header().Get("Location")})
	page := v.ask("GET", "/enter", "")
	assert.Equal(t, 200, page.Code)
	assert.Contains(t, page.Header().Get("Content-Security-Policy"), "form-action 'self'")
	assert.Equal(t, 401, v.enter("wrong").Code)
	assert.Nil(t, v.cookie)
	assert.Equal(t, 303, v.enter("correct horse").Code)
	require.NotNil(t, v.cookie)
	assert.Equal(t, []any{true, true, http.SameSiteStrictMode, "/"},
		[]any{v.cookie.HttpOnly, v.cookie.Secure, v.cookie.SameSite, v.cookie.Path})
	assert.NotContains(t, v.cookie.Value, "horse")
	assert.Equal(t, 200, v.ask("GET", "/api/v1/plans", "").Code)
	good := v.cookie.Value
	for _, value := range []string{"", "x", good + "x", "9" + good, strings.Replace(good, ".", "0.", 1)} {
		v.cookie.Value = value
		assert.Equal(t, 401, v.ask("GET", "/api/v1/plans", "").Code, value)
	}
	v.cookie.Value = good
	*now = now.Add(31 * 24 * time.Hour)
	assert.Equal(t, 401, v.ask("GET", "/api/v1/plans", "").Code, "after a month it is typed again")
	other := app(t, func(c *web.Config) { c.AccessKey, c.Hosts = "another horse", []string{"table.example"} })
	assert.Equal(t, 401, (&visitor{Handler: other, cookie: v.cookie}).ask("GET", "/api/v1/plans", "").Code,
		"another key lets nobody in who was let in by the one before")
	open, _ := guarded(t, false)
	plain := &visitor{Handler: open, from: "10.0.0.7:1"}
	plain.enter("correct horse")
	assert.False(t, plain.cookie.Secure)
}

// Keys that are guessed are slowed down: after ten wrong ones from an address not even the right one is looked at,
// until time has passed; other addresses are not held up.
func TestGuessingKeysIsSlow(t *testing.T) {
	h, now := guarded(t, false)
	guesser, other := &visitor{Handler: h, from: "10.0.0.7:1000"}, &visitor{Handler: h, from: "10.0.0.8:1000"}
	for i := range 10 {
		assert.Equal(t, 401, guesser.enter(fmt.Sprint("guess ", i)).Code)
	}
	held := guesser.enter("correct horse")
	assert.Equal(t, 429, held.Code)
	assert.Contains(t, held.Body.String(), "Wait a minute")
	assert.NotEmpty(t, held.Header().Get("Retry-After"))
	assert.Equal(t, 303, other.enter("correct horse").Code)
	*now = now.Add(time.Minute)
	assert.Equal(t, 303, guesser.enter("correct horse").Code, "as it says")
}

// A code lets one browser in, once and for ten minutes; the one made last is the one that is good.
func TestACodeLetsOneBrowserIn(t *testing.T) {
	h, now := guarded(t, false)
	maker, tablet := &visitor{Handler: h, from: "10.0.0.7:1"}, &visitor{Handler: h, from: "10.0.0.9:1"}
	assert.Equal(t, 401, maker.ask("POST", "/api/v1/door/codes", "").Code, "nobody makes one who is not in")
	maker.enter("correct horse")
	code := func() (out web.CodeView) {
		w := maker.ask("POST", "/api/v1/door/codes", "")
		require.Equal(t, 201, w.Code, w.Body.String())
		read(t, w, &out)
		return out
	}
	first, second := code(), code()
	assert.Regexp(t, `^\d{4} \d{4}$`, second.Code)
	assert.Equal(t, "2026-03-09T12:10:00Z", second.Till)
	assert.Equal(t, 401, tablet.enter(first.Code).Code)
	assert.Equal(t, 303, tablet.enter(strings.ReplaceAll(second.Code, " ", "-")).Code)
	assert.Equal(t, 200, tablet.ask("GET", "/api/v1/plans", "").Code)
	assert.Equal(t, 401, (&visitor{Handler: h, from: "10.0.0.3:1"}).enter(second.Code).Code, "it worked once")
	late := code()
	*now = now.Add(10 * time.Minute)
	assert.Equal(t, 401, (&visitor{Handler: h, from: "10.0.0.4:1"}).enter(late.Code).Code)
	assert.Equal(t, 401, (&visitor{Handler: h, from: "10.0.0.5:1"}).enter("").Code, "no code is none")
	open := app(t)
	assert.Equal(t, 409, call(t, open, "POST", "/api/v1/door/codes", nil, nil).Code)
}

func TestListeningBeyondThisMachineNeedsAKeyAndTLS(t *testing.T) {
	own := &tls.Config{MinVersion: tls.VersionTLS12}
	const key = "a key long enough"
	_, err := web.Listen(t.Context(), "0.0.0.0:0", "", own, false)
	require.ErrorContains(t, err, "access key")
	_, err = web.Listen(t.Context(), "0.0.0.0:0", key, nil, false)
	require.ErrorContains(t, err, "--tls")
	for name, c := range map[string]struct {
		address, key string
		own          *tls.Config
		proxied      bool
	}{"alone": {"127.0.0.1:0", "", nil, false}, "its own": {"0.0.0.0:0", key, own, false},
		"behind a proxy": {"0.0.0.0:0", key, nil, true}} {
		l, err := web.Listen(t.Context(), c.address, c.key, c.own, c.proxied)
		require.NoError(t, err, name)
		require.NoError(t, l.Close())
	}
	_, err = web.Listen(t.Context(), "nowhere", "", nil, false)
	assert.Error(t, err)
}

// A certificate is made once, kept for its owner alone, and made again for another name or where it runs out.
func TestACertificateIsMadeOnFirstUse(t *testing.T) {
	dir, now := t.TempDir(), time.Now()
	first, err := web.Certificate(dir, []string{"localhost", "127.0.0.1"}, now)
	require.NoError(t, err)
	again, err := web.Certificate(dir, []string{"localhost"}, now)
	require.NoError(t, err)
	assert.Equal(t, first.Certificate, again.Certificate)
	info, err := os.Stat(filepath.Join(dir, "certificate.key"))
	require.NoError(t, err)
	assert.Equal(t, os.FileMode(0o600), info.Mode().Perm())
	for name, made := range map[string]func() (tls.Certificate, error){
		"another name": func() (tls.Certificate, error) { return web.Certificate(dir, []string{"table"}, now) },
		"five years":   func() (tls.Certificate, error) { return web.Certificate(dir, nil, now.AddDate(5, 0, 0)) },
	} {
		other, err := made()
		require.NoError(t, err, name)
		assert.NotEqual(t, first.Certificate, other.Certificate, name)
	}
	require.NoError(t, os.WriteFile(filepath.Join(dir, "certificate.pem"), []byte("no"), 0o600))
	_, err = web.Certificate(dir, nil, now)
	assert.ErrorContains(t, err, "move certificate.pem and certificate.key away")
}

// Served with its own certificate the app is reached by who trusts that, and nobody reads what goes there.
func TestTheAppSpeaksTLS(t *testing.T) {
	cert, err := web.Certificate(t.TempDir(), []string{"127.0.0.1"}, time.Now())
	require.NoError(t, err)
	assert.Regexp(t, `^([0-9A-F]{2}:){31}[0-9A-F]{2}$`, web.Fingerprint(cert.Certificate[0]))
	own := &tls.Config{Certificates: []tls.Certificate{cert}, MinVersion: tls.VersionTLS12}
	l, err := web.Listen(t.Context(), "127.0.0.1:0", "correct horse", own, false)
	require.NoError(t, err)
	ctx, stop := context.WithCancel(t.Context())
	done := make(chan error, 1)
	go func() { done <- web.Serve(ctx, l, app(t)) }()
	trusted := x509.NewCertPool()
	trusted.AddCert(cert.Leaf)
	for name, c := range map[string]struct {
		client http.Client
		ok     bool
	}{"trusting": {http.Client{Transport: &http.Transport{TLSClientConfig: &tls.Config{RootCAs: trusted,
		MinVersion: tls.VersionTLS12}}}, true}, "a stranger": {http.Client{Transport: &http.Transport{}}, false}} {
		req, err := http.NewRequestWithContext(t.Context(), "GET", "https://"+l.Addr().String()+"/healthz", nil)
		require.NoError(t, err)
		res, err := c.client.Do(req)
		assert.Equal(t, c.ok, err == nil, "%s: %v", name, err)
		if err == nil {
			require.NoError(t, res.Body.Close())
		}
		c.client.CloseIdleConnections()
	}
	stop()
	require.NoError(t, <-done)
}

func read(t *testing.T, w *httptest.ResponseRecorder, out any) {
	t.Helper()
	require.NoError(t, json.Unmarshal(w.Body.Bytes(), out), w.Body.String())
}

// One browser gets so much and no more at once; the others, and what it asks less of, go on. Where nobody else
// reaches the app, nobody is limited.
func TestOneBrowserLeavesRoomForTheOthers(t *testing.T) {
	h, _ := guarded(t, true)
	one, other := &visitor{Handler: h, from: "10.0.0.7:1000"}, &visitor{Handler: h, from: "10.0.0.7:1001"}
	require.Equal(t, 303, one.enter("correct horse").Code)
	require.Equal(t, 303, other.enter("correct horse").Code)
	const file = "/api/v1/plans/none/plan.json"
	asked := 0
	for one.ask("GET", file, "").Code == http.StatusNotFound {
		asked++
		require.Less(t, asked, 10_000)
	}
	assert.GreaterOrEqual(t, asked, 40)
	told := one.ask("GET", file, "")
	assert.Equal(t, http.StatusTooManyRequests, told.Code)
	assert.Equal(t, "5", told.Header().Get("Retry-After"))
	assert.Contains(t, told.Body.String(), "wait a moment")
	assert.Equal(t, 200, one.ask("GET", "/api/v1/habits", "").Code)
	assert.Equal(t, http.StatusNotFound, other.ask("GET", file, "").Code)
	here := app(t, func(c *web.Config) { c.Hosts = []string{"table.example"} })
	alone := &visitor{Handler: here, from: "127.0.0.1:1"}
	for range 2 * asked {
		require.Equal(t, http.StatusNotFound, alone.ask("GET", file, "").Code)
	}
}

// What only waits for something to happen takes nobody's turn.
func TestWhatWaitsTakesNoTurn(t *testing.T) {
	h := app(t)
	ctx, leave := context.WithCancel(t.Context())
	var all sync.WaitGroup
	for range 4 * runtime.GOMAXPROCS(0) {
		all.Go(func() {
			r := httptest.NewRequestWithContext(ctx, "GET", "http://localhost/api/v1/readings?after=0", nil)
			h.ServeHTTP(httptest.NewRecorder(), r)
		})
	}
	assert.Equal(t, 200, call(t, h, "GET", "/api/v1/habits", nil, nil).Code)
	leave()
	all.Wait()
}
