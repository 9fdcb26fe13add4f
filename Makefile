# What a new machine needs besides Go, Node and npm is installed by the targets
# themselves.

# What is compiled does not hang on where the clone lies: another one finds it in the cache.
export GOFLAGS := $(shell go env GOFLAGS) -trimpath

# Nothing of it is C: without, each test is linked in three quarters of the work. What is watched for races needs it.
export CGO_ENABLED ?= 0

# What tests and checks work out is soon thrown away: collected less often, it takes a third less work.
export GOGC ?= 400

BIN := bin/umschlag
UI := $(shell find ui -type f -not -path '*/node_modules/*' 2>/dev/null)

.PHONY: demo test build types setup modules chromium prepare check check-go check-ui units go-test go-plain go-race ui-test e2e bench fuzz mutants load typing screenshots clean

# Starts the app with a fresh copy of the demo data.
demo: $(BIN)
	$(BIN) demo

# Passes all tests, and tells how long each part took.
test:
	@sh scripts/parts.sh prepare check units e2e

build: $(BIN)

node_modules/.package-lock.json: package.json package-lock.json ui/package.json e2e/package.json
	npm ci --no-audit --no-fund --prefer-offline
	@touch $@

setup: node_modules/.package-lock.json

web/dist/index.html: node_modules/.package-lock.json $(UI)
	npm run --silent build -w ui

$(BIN): web/dist/index.html $(shell find cmd core demo device format store web -name '*.go' -o -name '*.sql' -o -path 'demo/*.json') go.mod go.sum
	go build -o $(BIN) ./cmd/umschlag

# Chromium and the readers of files for the browser tests, from Debian's packages.
chromium:
	@sh scripts/debian.sh

modules:
	go mod download

# All that is fetched from elsewhere, side by side.
prepare:
	@$(MAKE) --no-print-directory -j3 setup modules chromium

# Format, static checks, and whether what is generated is fresh: of Go and of the page side by side.
check: setup
	@$(MAKE) --no-print-directory -j2 --output-sync=target check-go check-ui
	node scripts/types.mjs --check

check-go:
	@test -z "$$(gofmt -l anyplan atbench cmd core demo device format seeded store web)" || { echo "run gofmt on:"; gofmt -l anyplan atbench cmd core demo device format seeded store web; exit 1; }
	go vet ./...
	go tool staticcheck ./...

check-ui:
	npx biome ci --error-on-warnings ui e2e scripts
	npx tsc -p ui/tsconfig.json
	npx tsc -p e2e/tsconfig.json

# What runs side by side is watched for races: the server, the store, the devices, and nothing of
# what they are made from, which is not ours or does one thing after the other.
CONCURRENT := umschlag/web umschlag/store umschlag/device/...
WATCHED := -gcflags=all=-race=false $(CONCURRENT:%=-gcflags=%=)
go-test:
	@$(MAKE) --no-print-directory -j2 --output-sync=target go-plain go-race
go-plain:
	go test -count=1 -vet=off $$(go list ./... | grep -vxF "$$(go list $(CONCURRENT))")
# The page is tried as it is sent: it is there before the server is tested.
go-race: web/dist/index.html
	CGO_ENABLED=1 go test -count=1 -vet=off -race $(WATCHED) $(CONCURRENT)

# All tests without a browser, side by side: while one waits for its last package, another is at work.
units: setup
	@$(MAKE) --no-print-directory -j3 --output-sync=target go-plain go-race ui-test

ui-test: setup
	npm test --silent -w ui

e2e: $(BIN) chromium
	npm test --silent -w e2e

# Writes the user interface's types and the JSON Schema from the Go types.
types: setup
	node scripts/types.mjs

bench:
	go test -run '^$$' -bench . ./core/... ./format/...

fuzz:
	go test ./core/length -run '^$$' -fuzz FuzzParse -fuzztime 30s -fuzzminimizetime 1x
	go test ./core/shape -run '^$$' -fuzz FuzzParse -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/svgfile -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/hpgl -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/dxf -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/workshopfile -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/cupboardcsv -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/photo -run '^$$' -fuzz FuzzRead -fuzztime 30s -fuzzminimizetime 1x
	go test ./core/block -run '^$$' -fuzz FuzzParse -fuzztime 30s -fuzzminimizetime 1x
	go test ./format/planfile -run '^$$' -fuzz FuzzRead -fuzztime 60s -fuzzminimizetime 1x
	go test ./core/reckon -run '^$$' -fuzz FuzzReckon -fuzztime 60s -fuzzminimizetime 1x

# What the tests would not notice: MUTANTS='-n 20 ./core/lay', MUTANTS='-since HEAD~3 ./core/...'.
MUTANTS := ./core/...
mutants:
	go run ./cmd/mutants $(MUTANTS)

# Tells what looking at things costs, and whether memory stays as it is.
load:
	go run ./cmd/load $(LOAD)

# Tells how long a value that is typed takes until it is drawn, in percentiles.
typing: $(BIN) chromium
	node scripts/typing.mjs

# Takes the pictures in docs/screenshots from the demo data.
screenshots: $(BIN) chromium
	node scripts/screenshots.mjs

clean:
	rm -rf bin node_modules ui/node_modules e2e/node_modules
	find web/dist -mindepth 1 -not -name .gitkeep -delete
