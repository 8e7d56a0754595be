<?php

declare(strict_types=1);

// Does a test notice when a rule is wrong? A sample of mutants of core/, drawn with a seed, each against the tests that run its line:
//   php -d extension=pcov bench/mutants.php [mutants] [seed] [processes]
// Needs php8.2-pcov. Mutants are made in copies in a temporary folder; the checkout is never touched. Survivors are listed.

chdir(dirname(__DIR__));
require 'vendor/autoload.php';

use PhpToken as Token;
use Symfony\Component\Process\Process;

const AT_MOST_S = 120;

/**
 * One of them in place of the other: each is a slip somebody could make. The strict flag of in_array and array_search is none: what is
 * looked for here are enums and words, found by == where they are by ===.
 */
const SLIPS = [
    '<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '===' => '!==', '!==' => '===', '+' => '-', '-' => '+', '*' => '/', '/' => '*',
    '&&' => '||', '||' => '&&', 'true' => 'false', 'false' => 'true', 'min' => 'max', 'max' => 'min', '!' => '',
];

/** What stands before it. */
const STRICT_FLAG = '/\b(in_array|array_search)\((?:[^()]|(\((?:[^()]|(?2))*\)))*,\s*$/';

[$wanted, $seed, $processes] = [(int) ($argv[1] ?? 300), (int) ($argv[2] ?? 20_261_126), (int) ($argv[3] ?? 2)];
mt_srand($seed);
$folder = sys_get_temp_dir().'/augendo-mutants-'.uniqid();
mkdir($folder);
register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($folder)));

// Which test classes run which line, and how long each takes.
fwrite(STDERR, "Which tests run which lines …\n");
$php = [PHP_BINARY, '-d', 'extension=pcov', '-d', 'pcov.directory='.getcwd().'/core/src', '-d', 'memory_limit=2G'];
$phpunit = [...$php, 'vendor/bin/phpunit', '--testsuite', 'core', '--do-not-cache-result'];
$told = ['--coverage-filter', 'core/src', '--coverage-php', "{$folder}/lines.php", '--log-junit', "{$folder}/times.xml"];
$measured = new Process([...$phpunit, ...$told]);
$measured->setTimeout(1800)->mustRun();
$classOf = fn (string $test): string => explode('::', $test)[0];
$lines = [];
foreach ((require "{$folder}/lines.php")->getData()->lineCoverage() as $file => $of) {
    foreach ($of as $line => $tests) {
        $lines[$file][$line] = array_values(array_unique(array_map($classOf, $tests ?? [])));
    }
}
$seconds = $fileOf = [];
foreach (simplexml_load_string((string) file_get_contents("{$folder}/times.xml"))->xpath('//testcase') as $case) {
    $seconds[(string) $case['class']] = ($seconds[(string) $case['class']] ?? 0.0) + (float) $case['time'];
    $fileOf[(string) $case['class']] = substr((string) $case['file'], strlen(getcwd()) + 1);
}

// Every slip on a line that can run; the sample is drawn from all of them.
$slips = [];
foreach ($lines as $file => $of) {
    $code = (string) file_get_contents($file);
    foreach (Token::tokenize($code) as $token) {
        $isNumber = in_array($token->id, [T_LNUMBER, T_DNUMBER], true);
        $instead = $isNumber ? (string) (1 + (float) str_replace('_', '', $token->text)) : SLIPS[$token->text] ?? null;
        $isStrictFlag = $token->text === 'true' && preg_match(STRICT_FLAG, substr($code, 0, $token->pos)) === 1;
        if ($instead !== null && ! $isStrictFlag && array_key_exists($token->line, $of)) {
            $instead = $token->id === T_LNUMBER ? (string) (int) $instead : $instead;
            $mutant = substr_replace($code, $instead, $token->pos, strlen($token->text));
            $slips[] = [$file, $token->line, $token->text, $instead, $mutant, $of[$token->line]];
        }
    }
}
shuffle($slips);
$sample = array_slice($slips, 0, $wanted);
fwrite(STDERR, count($sample).' of '.count($slips)." mutants\n");

/** A copy of what the core's tests need. */
$copies = [];
for ($i = 0; $i < $processes; $i++) {
    $copies[$i] = "{$folder}/{$i}";
    $copy = "mkdir {$copies[$i]} && tar -cf - vendor core library composer.json phpunit.xml | tar -C {$copies[$i]} -xf -";
    (new Process(['sh', '-c', $copy]))
        ->setTimeout(300)->mustRun();
}
$survivors = $running = [];
[$caught, $unrunnable, $next] = [0, 0, 0];
while ($next < count($sample) || $running !== []) {
    foreach ($copies as $i => $copy) {
        if (! isset($running[$i]) && $next < count($sample)) {
            [$file, $line, $was, $is, $mutant, $classes] = $sample[$next++];
            if ($classes === []) {
                $survivors[] = "{$file}:{$line}  {$was} → {$is}  (no test runs it)";

                continue;
            }
            $path = $copy.substr($file, strlen(getcwd()));
            $original = (string) file_get_contents($path);
            file_put_contents($path, $mutant);
            if ((new Process([PHP_BINARY, '-l', $path]))->run() !== 0) {
                file_put_contents($path, $original);
                $unrunnable++;

                continue;
            }
            usort($classes, fn (string $a, string $b): int => $seconds[$a] <=> $seconds[$b]);
            // A mutant may never end: timeout ends it, whatever becomes of this process.
            $alone = 'timeout '.AT_MOST_S.' '.escapeshellarg(PHP_BINARY)
                .' vendor/bin/phpunit --fail-on-warning --stop-on-defect --do-not-cache-result';
            $run = implode(' && ', array_map(fn (string $class): string => "{$alone} {$fileOf[$class]}", $classes));
            $process = Process::fromShellCommandline($run, $copy)->setTimeout(null);
            $process->start();
            $running[$i] = [$process, $path, $original, "{$file}:{$line}  {$was} → {$is}"];
        }
    }
    foreach ($running as $i => [$process, $path, $original, $what]) {
        if (! $process->isRunning()) {
            // A test that never ends notices, too.
            if ($process->getExitCode() !== 0) {
                $caught++;
            } else {
                $survivors[] = $what;
                fwrite(STDERR, str_replace(getcwd().'/', '', $what)."\n");
            }
            file_put_contents($path, $original);
            unset($running[$i]);
            if (($caught + count($survivors)) % 20 === 0) {
                fwrite(STDERR, $caught.' caught, '.count($survivors)." not\n");
            }
        }
    }
    usleep(20_000);
}
foreach ($survivors as $survivor) {
    echo str_replace(getcwd().'/', '', $survivor), "\n";
}
$tried = $caught + count($survivors);
$share = 100 * $caught / max(1, $tried);
printf("seed %d: %d of %d mutants caught, %.1f %% (%d would not compile)\n", $seed, $caught, $tried, $share, $unrunnable);
