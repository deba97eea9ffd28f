<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_progress', function (Blueprint $table): void {
            $table->text('notes')->default('')->comment('the learner\'s own, and nobody else\'s to read');
        });
    }

    public function down(): void
    {
        Schema::table('learning_progress', function (Blueprint $table): void {
            $table->dropColumn('notes');
        });
    }
};
