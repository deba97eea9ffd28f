<?php

declare(strict_types=1);

use App\Support\DatabaseFunctions;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Why a sheet is put away, and how many marks it had; those that were put away before have neither, and start no wait.
        Schema::table('assessment_attempts', function (Blueprint $table): void {
            $table->string('put_away_because', 30)->nullable();
            $table->unsignedSmallInteger('put_away_marks')->nullable();
        });
        // Of an outcome, too, something is said in lines of the sheet: the learner's word, an appeal, its answer.
        Schema::table('assessment_marks', fn (Blueprint $table) => $table->string('kind', 20)->change());
        // A learner's own words about an outcome go with their name.
        DatabaseFunctions::lay('people_forget');
    }
};
