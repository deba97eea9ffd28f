<?php

declare(strict_types=1);

/*
 * The right answers of a paper, from the file of its check and its seed: php e2e/right-answers.php FILE SEED. A paper is
 * drawn with figures and faults of its own, so a journey that sits one asks the core what is right on it.
 */

use MillStep\Core\Border\Fields;
use MillStep\Core\Learning\Check\QuestionBank;
use Symfony\Component\Yaml\Yaml;

require dirname(__DIR__).'/vendor/autoload.php';

[, $file, $seed] = $argv;
$answers = [];
foreach (QuestionBank::fromFields(Fields::of((array) Yaml::parseFile($file)))->draw((int) $seed)->questions as $question) {
    $answers[$question->id] = $question->rightAnswer();
}
echo json_encode($answers, JSON_THROW_ON_ERROR);
