package web

import (
	"crypto/hmac"
	"crypto/rand"
	"crypto/sha256"
	"crypto/subtle"
	_ "embed"
	"encoding/base64"
	"encoding/hex"
	"fmt"
	"html/template"
	"math/big"
	"net/http"
	"strings"
	"sync"
	"time"

	"github.com/labstack/echo/v5"
)

// Where one is let in, and what a browser that was carries from then on.
const (
	enterPath  = "/enter"
	cookieName = "umschlag"
	// letIn is how long a browser stays let in, codeGood how long a code is.
	letIn    = 30 * 24 * time.Hour
	codeGood = 10 * time.Minute
	// codeFigures is how long a code is: guessed at ten tries and one more every six seconds, none is hit in its time.
	codeFigures = 8
)

// door lets in who types the access key, or a code that works once. The key itself is typed once a browser; from then
// on the browser carries a proof that it was, which says nothing of the key.
type door struct {
	key       string
	secret    []byte
	strangers *strangers
	now       func() time.Time
	// secure tells that browsers come over TLS: the proof is sent over nothing else then.
	secure bool

	lock sync.Mutex
	code string
	till time.Time
}

func newDoor(cfg Config, now func() time.Time) *door {
	mac := hmac.New(sha256.New, []byte(cfg.AccessKey))
	mac.Write([]byte("umschlag: let in"))
	return &door{key: cfg.AccessKey, secret: mac.Sum(nil), strangers: newStrangers(now, cfg.Log), now: now,
		secure: cfg.Secure}
}

// proof is what a browser carries that was let in until then.
func (d *door) proof(till time.Time) string {
	says := fmt.Sprintf("%d.%s", till.Unix(), rand.Text())
	return says + "." + d.signed(says)
}

func (d *door) signed(says string) string {
	mac := hmac.New(sha256.New, d.secret)
	mac.Write([]byte(says))
	return base64.RawURLEncoding.EncodeToString(mac.Sum(nil))
}

// proves tells whether a browser was let in, and is still.
func (d *door) proves(proof string) bool {
	at := strings.LastIndexByte(proof, '.')
	if at < 0 || subtle.ConstantTimeCompare([]byte(d.signed(proof[:at])), []byte(proof[at+1:])) != 1 {
		return false
	}
	var till int64
	if _, err := fmt.Sscanf(proof, "%d.", &till); err != nil {
		return false
	}
	return d.now().Unix() < till
}

// newCode is a code that lets one browser in within the next minutes, in place of the one before.
func (d *door) newCode() (code string, till time.Time, err error) {
	most := new(big.Int).Exp(big.NewInt(10), big.NewInt(codeFigures), nil)
	n, err := rand.Int(rand.Reader, most)
	if err != nil {
		return "", till, err
	}
	d.lock.Lock()
	defer d.lock.Unlock()
	d.code, d.till = fmt.Sprintf("%0*d", codeFigures, n), d.now().Add(codeGood)
	return d.code, d.till, nil
}

// opens tells whether what was typed is the key, or the code; a code that opened is gone.
func (d *door) opens(typed string) bool {
	if subtle.ConstantTimeCompare([]byte(typed), []byte(d.key)) == 1 {
		return true
	}
	d.lock.Lock()
	defer d.lock.Unlock()
	bare := strings.NewReplacer(" ", "", "-", "").Replace(typed)
	good := d.code != "" && d.now().Before(d.till) && subtle.ConstantTimeCompare([]byte(bare), []byte(d.code)) == 1
	if good {
		d.code = ""
	}
	return good
}

// guard lets nobody further who was not let in, but for the sign of life and the door itself.
func (d *door) guard(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		r := c.Request()
		if r.URL.Path == healthPath || r.URL.Path == enterPath {
			return next(c)
		}
		if cookie, err := r.Cookie(cookieName); err == nil && d.proves(cookie.Value) {
			return next(c)
		}
		if opened(r) {
			return c.Redirect(http.StatusSeeOther, enterPath)
		}
		return echo.NewHTTPError(http.StatusUnauthorized, "Open the app’s page in another window of this browser and type the access key there. What was typed here is kept, and saved then.")
	}
}

//go:embed enter.html
var enterPage string

var enterTemplate = template.Must(template.New("enter").Parse(enterPage))

// show is the page where one is let in; wrong says why one was not.
func (d *door) show(c *echo.Context, status int, wrong string) error {
	nonce, _ := c.Get(nonceKey).(string) // set for every request
	h := c.Response().Header()
	h.Set("Cache-Control", "no-store")
	policy := h.Get("Content-Security-Policy")
	h.Set("Content-Security-Policy", strings.Replace(policy, "form-action 'none'", "form-action 'self'", 1))
	var b strings.Builder
	if err := enterTemplate.Execute(&b, map[string]string{"Nonce": nonce, "Wrong": wrong}); err != nil {
		return err
	}
	return c.HTML(status, b.String())
}

func (d *door) page(c *echo.Context) error { return d.show(c, http.StatusOK, "") }

// enter lets a browser in.
func (d *door) enter(c *echo.Context) error {
	in, err := d.strangers.judge(c, d.opens(strings.TrimSpace(c.FormValue("key"))))
	if err != nil {
		return d.show(c, http.StatusTooManyRequests, "Too many wrong keys came from there. Wait a minute, then type it again.")
	}
	if !in {
		return d.show(c, http.StatusUnauthorized,
			"That is neither the access key nor a code that is still good. A code works once, within ten minutes.")
	}
	till := d.now().Add(letIn)
	c.SetCookie(&http.Cookie{Name: cookieName, Value: d.proof(till), Path: "/", Expires: till, HttpOnly: true,
		Secure: d.secure, SameSite: http.SameSiteStrictMode})
	return c.Redirect(http.StatusSeeOther, "/")
}

// DoorView is how other devices are let in.
type DoorView struct {
	// Asked tells that the access key is asked for: others can reach this server.
	Asked bool `json:"asked"`
	// Fingerprint of the certificate this server made for itself; empty where it has none.
	Fingerprint string `json:"fingerprint"`
}

// CodeView is a code that lets one browser in.
type CodeView struct {
	Code string `json:"code"`
	// Till is until when it is good, RFC 3339.
	Till string `json:"till"`
}

func (s *server) doorView(c *echo.Context) error {
	return c.JSON(http.StatusOK, DoorView{Asked: s.door != nil, Fingerprint: s.fingerprint})
}

func (s *server) newCode(c *echo.Context) error {
	if s.door == nil {
		return echo.NewHTTPError(http.StatusConflict, "Nobody but this computer can reach this server: no code is needed.")
	}
	code, till, err := s.door.newCode()
	if err != nil {
		return err
	}
	half := len(code) / 2
	return c.JSON(http.StatusCreated,
		CodeView{Code: code[:half] + " " + code[half:], Till: till.UTC().Format(time.RFC3339)})
}

// Fingerprint is a certificate as people compare it: SHA-256, in pairs.
func Fingerprint(der []byte) string {
	sum := sha256.Sum256(der)
	pairs := make([]string, len(sum))
	for i, b := range sum {
		pairs[i] = strings.ToUpper(hex.EncodeToString([]byte{b}))
	}
	return strings.Join(pairs, ":")
}
