// Command load asks the app for what people look at, again and again, and tells what that costs: as a ratio to a file
// of the same size that is only sent, in the same run, and whether memory stays as it is.
package main

import (
	"bytes"
	"context"
	"errors"
	"flag"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"os"
	"runtime"
	"sync"
	"syscall"
	"time"

	"umschlag/demo"
	"umschlag/store"
	"umschlag/web"
)

func main() {
	n := flag.Int("n", 300, "how often each thing is looked at")
	many := flag.Int("many", 50_000, "how many requests memory is watched over")
	flag.Parse()
	if err := run(*n, *many); err != nil {
		fmt.Fprintln(os.Stderr, "load:", err)
		os.Exit(1)
	}
}

func run(n, many int) (err error) {
	ctx := context.Background()
	dir, err := os.MkdirTemp("", "umschlag-load-")
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.RemoveAll(dir)) }()
	s, err := store.Open(ctx, dir, time.Now)
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, s.Close()) }()
	if err := demo.Fill(ctx, s); err != nil {
		return err
	}
	app, stop, err := serve(ctx, web.New(web.Config{Store: s, Log: slog.New(slog.DiscardHandler)}))
	if err != nil {
		return err
	}
	defer stop()
	if err := ratios(ctx, app, n); err != nil {
		return err
	}
	return memory(ctx, app, many)
}

// serve answers on a port of this machine.
func serve(ctx context.Context, h http.Handler) (url string, stop func(), err error) {
	l, err := web.Listen(ctx, "127.0.0.1:0", "", nil, false)
	if err != nil {
		return "", nil, err
	}
	ctx, stop = context.WithCancel(ctx)
	go func(l net.Listener) { _ = web.Serve(ctx, l, h) }(l) // it ends with the program
	return "http://" + l.Addr().String(), stop, nil
}

// looked is what people look at.
var looked = []string{"/api/v1/plans", "/api/v1/plans/reading-corner-cushion",
	"/api/v1/plans/pinwheel-cushion-for-the-reading-corner", "/api/v1/cloths", "/api/v1/starts?units=in"}

// ratios tells what each costs beside a file of its size.
func ratios(ctx context.Context, app string, n int) error {
	fmt.Println("processor time of one answer, beside a file of its size that is only sent:")
	for _, path := range looked {
		body, err := get(ctx, app+path)
		if err != nil {
			return err
		}
		sent := http.HandlerFunc(func(w http.ResponseWriter, _ *http.Request) {
			w.Header().Set("Content-Type", "application/json")
			w.Header().Set("Content-Encoding", "gzip")
			_, _ = w.Write(body)
		})
		file, stop, err := serve(ctx, sent)
		if err != nil {
			return err
		}
		one, err := cost(ctx, app+path, n)
		if err != nil {
			return err
		}
		other, err := cost(ctx, file, n)
		stop()
		if err != nil {
			return err
		}
		fmt.Printf("  %-56s %4d kB %7.2f ms %5.1f ×\n", path, len(body)/1000, one.Seconds()*1000,
			one.Seconds()/other.Seconds())
	}
	return nil
}

// cost is the processor time of one answer, asking for it included.
func cost(ctx context.Context, url string, n int) (time.Duration, error) {
	before, err := processor()
	if err != nil {
		return 0, err
	}
	for range n {
		if _, err := get(ctx, url); err != nil {
			return 0, err
		}
	}
	after, err := processor()
	return (after - before) / time.Duration(n), err
}

func processor() (time.Duration, error) {
	var u syscall.Rusage
	err := syscall.Getrusage(syscall.RUSAGE_SELF, &u)
	return time.Duration(u.Utime.Nano() + u.Stime.Nano()), err
}

func get(ctx context.Context, url string) ([]byte, error) {
	r, err := http.NewRequestWithContext(ctx, http.MethodGet, url, nil)
	if err != nil {
		return nil, err
	}
	r.Header.Set("Accept-Encoding", "gzip") // as browsers ask for it; who unpacks it is no part of what is measured
	res, err := http.DefaultClient.Do(r)
	if err != nil {
		return nil, err
	}
	body, err := io.ReadAll(res.Body)
	if err == nil && res.StatusCode != http.StatusOK {
		err = fmt.Errorf("%s: %s", url, res.Status)
	}
	return body, errors.Join(err, res.Body.Close())
}

// memory tells how much is held after every tenth of so many requests, some of them long polls that are left, and
// reckonings that nobody waits for.
func memory(ctx context.Context, app string, many int) error {
	fmt.Printf("memory that is held, over %d requests:", many)
	for tenth := range 10 {
		var all sync.WaitGroup
		wrong := make(chan error, 4)
		for range 4 {
			all.Go(func() {
				for i := range many / 40 {
					if err := visit(ctx, app, i); err != nil {
						wrong <- err
						return
					}
				}
			})
		}
		all.Wait()
		select {
		case err := <-wrong:
			return err
		default:
		}
		runtime.GC()
		var m runtime.MemStats
		runtime.ReadMemStats(&m)
		fmt.Printf(" %d", m.HeapAlloc>>20)
		if tenth == 9 {
			fmt.Println(" MB")
		}
	}
	return nil
}

// visit is one request of many.
func visit(ctx context.Context, app string, i int) error {
	switch i % 50 {
	case 7: // a long poll that is left
		ctx, left := context.WithTimeout(ctx, 5*time.Millisecond)
		defer left()
		_, _ = get(ctx, app+"/api/v1/readings?after=0") // nobody waits for it
		return nil
	case 23: // a plan that is typed at and left before it is answered
		ctx, left := context.WithTimeout(ctx, time.Millisecond)
		defer left()
		r, err := http.NewRequestWithContext(ctx, http.MethodPost, app+"/api/v1/reckon", bytes.NewReader([]byte("{}")))
		if err != nil {
			return err
		}
		if res, err := http.DefaultClient.Do(r); err == nil {
			return res.Body.Close()
		}
		return nil
	}
	_, err := get(ctx, app+looked[i%len(looked)])
	return err
}
