package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"math/rand/v2"
	"net"
	"net/http"
	"net/url"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"syscall"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// asProgram in the environment makes the tests' binary the program itself: what is tested here is started, killed and
// started again as people do it.
const asProgram = "UMSCHLAG_AS_PROGRAM"

func TestMain(m *testing.M) {
	if os.Getenv(asProgram) != "" {
		main()
	}
	os.Exit(m.Run())
}

// program is the app while it runs.
type program struct {
	cmd *exec.Cmd
	url string
}

func command(t *testing.T, args ...string) *exec.Cmd {
	t.Helper()
	self, err := os.Executable()
	require.NoError(t, err)
	cmd := exec.CommandContext(t.Context(), self, args...)
	cmd.Env = append(os.Environ(), asProgram+"=1")
	return cmd
}

// start starts the app on a directory, and waits until it says where it is open.
func start(t *testing.T, dir string) *program {
	t.Helper()
	p := &program{cmd: command(t, "serve", "--data", dir, "--listen", "127.0.0.1:0")}
	out, err := p.cmd.StdoutPipe()
	require.NoError(t, err)
	require.NoError(t, p.cmd.Start())
	t.Cleanup(func() { _ = p.cmd.Process.Kill(); _ = p.cmd.Wait() })
	line, err := bufio.NewReader(out).ReadString('\n')
	require.NoError(t, err)
	_, at, found := strings.Cut(strings.TrimSpace(line), "open at ")
	require.True(t, found, line)
	p.url = at
	return p
}

// kill ends the app as a failing mains does: it has no time for anything.
func (p *program) kill(t *testing.T) {
	t.Helper()
	require.NoError(t, p.cmd.Process.Kill())
	_ = p.cmd.Wait() // it tells that it was killed
}

// ask sends a request, and reads the answer into out where there is one to read.
func (p *program) ask(method, path string, body, out any) (status int, text string, err error) {
	data, err := json.Marshal(body)
	if err != nil {
		return 0, "", err
	}
	r, err := http.NewRequest(method, p.url+path, bytes.NewReader(data))
	if err != nil {
		return 0, "", err
	}
	r.Header.Set("Content-Type", "application/json")
	w, err := http.DefaultClient.Do(r)
	if err != nil {
		return 0, "", err
	}
	defer func() { _ = w.Body.Close() }()
	answer, err := io.ReadAll(w.Body)
	if err == nil && out != nil && w.StatusCode < http.StatusBadRequest {
		err = json.Unmarshal(answer, out)
	}
	return w.StatusCode, string(answer), err
}

// stored is of a plan in an answer what these tests look at.
type stored struct {
	ID       string         `json:"id"`
	Revision int            `json:"revision"`
	Plan     map[string]any `json:"plan"`
}

func (p *program) create(t *testing.T) stored {
	t.Helper()
	data, err := os.ReadFile("../../demo/reading-corner-cushion.json")
	require.NoError(t, err)
	var s stored
	status, text, err := p.ask("POST", "/api/v1/plans", map[string]json.RawMessage{"plan": data}, &s)
	require.NoError(t, err)
	require.Equal(t, http.StatusCreated, status, text)
	return s
}

func (p *program) save(s stored, title, id string) (stored, int, error) {
	sent := maps.Clone(s.Plan)
	sent["title"] = title
	var after stored
	status, _, err := p.ask("PUT", "/api/v1/plans/"+s.ID,
		map[string]any{"base": s.Revision, "plan": sent, "label": title, "save": id}, &after)
	return after, status, err
}

func (p *program) plan(t *testing.T, id string) stored {
	t.Helper()
	var s stored
	status, text, err := p.ask("GET", "/api/v1/plans/"+id, nil, &s)
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status, text)
	return s
}

// What was acknowledged before the app was killed, in the middle of other saves, is there when it is started again.
func TestWhatWasAcknowledgedOutlivesAKill(t *testing.T) {
	dir, random := t.TempDir(), rand.New(rand.NewPCG(1, 7))
	p := start(t, dir)
	const windows = 3
	plans := make([]stored, windows)
	for i := range plans {
		plans[i] = p.create(t)
	}
	acknowledged := 0
	for round := range 8 {
		after := 1 + random.IntN(6)
		saves := make(chan struct{}, 1000)
		var all sync.WaitGroup
		for i := range plans {
			all.Go(func() {
				for n := 0; ; n++ {
					next, status, err := p.save(plans[i], fmt.Sprintf("Round %d, save %d", round, n), "")
					if err != nil || status != http.StatusOK {
						return // it was killed
					}
					plans[i] = next
					saves <- struct{}{}
				}
			})
		}
		for range after {
			<-saves
			acknowledged++
		}
		p.kill(t)
		all.Wait()
		p = start(t, dir)
		for i, last := range plans {
			there := p.plan(t, last.ID)
			require.GreaterOrEqual(t, there.Revision, last.Revision)
			require.LessOrEqual(t, there.Revision, last.Revision+1, "and at most the one that was under way")
			if there.Revision == last.Revision {
				require.Equal(t, last.Plan["title"], there.Plan["title"])
			}
			plans[i] = there
		}
	}
	assert.GreaterOrEqual(t, acknowledged, 8)
}

// A save, or an undo, whose answer is lost on the way is sent again: it is one.
func TestASaveWhoseAnswerIsLostIsOneSave(t *testing.T) {
	p := start(t, t.TempDir())
	s := p.create(t)
	s.Plan["title"] = "Sent twice"
	p.unread(t, "PUT", "/api/v1/plans/"+s.ID,
		map[string]any{"base": s.Revision, "plan": s.Plan, "label": "", "save": "once"})
	after, status, err := p.save(s, "Sent twice", "once")
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, s.Revision+1, after.Revision)
	assert.Equal(t, s.Revision+1, p.plan(t, s.ID).Revision)

	undo := map[string]any{"base": after.Revision, "save": "back"}
	p.unread(t, "POST", "/api/v1/plans/"+s.ID+"/undo", undo)
	status, _, err = p.ask("POST", "/api/v1/plans/"+s.ID+"/undo", undo, nil)
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, after.Revision+1, p.plan(t, s.ID).Revision)
}

// unread sends a request, and goes away as soon as the answer begins.
func (p *program) unread(t *testing.T, method, path string, content any) {
	t.Helper()
	body, err := json.Marshal(content)
	require.NoError(t, err)
	at, err := url.Parse(p.url)
	require.NoError(t, err)
	line, err := net.Dial("tcp", at.Host)
	require.NoError(t, err)
	_, err = fmt.Fprintf(line, "%s %s HTTP/1.1\r\nHost: %s\r\nContent-Type: application/json\r\n"+
		"Content-Length: %d\r\n\r\n%s", method, path, at.Host, len(body), body)
	require.NoError(t, err)
	_, err = line.Read(make([]byte, 1)) // the answer is on its way, and is not read
	require.NoError(t, err)
	require.NoError(t, line.Close())
}

// Two windows that begin from the same and change different things are joined by the program that runs.
func TestTwoWindowsAreJoined(t *testing.T) {
	p := start(t, t.TempDir())
	first := p.create(t)
	second := p.plan(t, first.ID)
	_, status, err := p.save(first, "Named by one", "")
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status)
	object, _ := second.Plan["object"].(map[string]any)
	object["fill"] = "polyester"
	var both stored
	status, text, err := p.ask("PUT", "/api/v1/plans/"+second.ID,
		map[string]any{"base": second.Revision, "plan": second.Plan, "label": ""}, &both)
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status, text)
	assert.Equal(t, "Named by one", both.Plan["title"])
	object, _ = both.Plan["object"].(map[string]any)
	assert.Equal(t, "polyester", object["fill"])
}

func TestASecondProgramOnADirectoryIsToldSo(t *testing.T) {
	dir := t.TempDir()
	first := start(t, dir)
	out, err := command(t, "serve", "--data", dir, "--listen", "127.0.0.1:0").CombinedOutput()
	require.Error(t, err)
	assert.Contains(t, string(out), "another server has this directory open")
	first.kill(t)
	start(t, dir).create(t) // what was killed holds nothing back
}

func TestADirectoryMovedAwayIsToldAndTakesNothing(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "data")
	p := start(t, dir)
	s := p.create(t)
	require.NoError(t, os.Rename(dir, dir+"-elsewhere"))
	status, text, err := p.ask("GET", "/healthz", nil, nil)
	require.NoError(t, err)
	assert.Equal(t, http.StatusServiceUnavailable, status)
	assert.Contains(t, text, "not where it was")
	_, status, err = p.save(s, "Into nothing", "")
	require.NoError(t, err)
	assert.Equal(t, http.StatusServiceUnavailable, status)
	require.NoError(t, os.Rename(dir+"-elsewhere", dir))
	after, status, err := p.save(s, "Back where it was", "")
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status)
	assert.Equal(t, s.Revision+1, after.Revision)
}

// A disk of three megabytes fills up: what was acknowledged stays, what was not is told in plain words, and with room
// it goes on without being started again.
func TestAFullDiskIsTold(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "disk")
	require.NoError(t, os.Mkdir(dir, 0o700))
	if err := syscall.Mount("umschlag", dir, "tmpfs", 0, "size=3m"); err != nil {
		t.Skip("a small disk can be made by who may mount one: ", err)
	}
	t.Cleanup(func() { _ = syscall.Unmount(dir, syscall.MNT_DETACH) })
	ballast := filepath.Join(dir, "ballast")
	require.NoError(t, os.WriteFile(ballast, make([]byte, 1<<20), 0o600))
	p := start(t, dir)
	s := p.create(t)
	var full string
	for n := 0; full == ""; n++ {
		s.Plan["title"] = fmt.Sprintf("Save %d", n)
		var after stored
		status, text, err := p.ask("PUT", "/api/v1/plans/"+s.ID,
			map[string]any{"base": s.Revision, "plan": s.Plan, "label": ""}, &after)
		require.NoError(t, err)
		if status != http.StatusOK {
			require.Equal(t, http.StatusInsufficientStorage, status, text)
			full = text
			break
		}
		require.Less(t, n, 1000, "a disk of three megabytes is full at some time")
		s = after
	}
	assert.Contains(t, full, "The disk is full")
	there := p.plan(t, s.ID)
	assert.Equal(t, s.Revision, there.Revision)
	require.NoError(t, os.Remove(ballast))
	after, status, err := p.save(s, "There is room again", "")
	require.NoError(t, err)
	require.Equal(t, http.StatusOK, status)
	p.kill(t)
	assert.Equal(t, after.Revision, start(t, dir).plan(t, s.ID).Revision)
}
