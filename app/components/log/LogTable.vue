<script setup lang="ts">
/** A plain table: what a chart says, in figures. */
defineProps<{ caption: string, heads: readonly string[], rows: readonly (readonly string[])[], wraps?: boolean }>()
</script>

<template>
  <div
    class="wide"
    role="region"
    tabindex="0"
    :aria-label="caption"
    :class="{ wraps }"
  >
    <table>
      <caption class="only-heard">
        {{ caption }}
      </caption>
      <thead>
        <tr>
          <th
            v-for="head in heads"
            :key="head"
            scope="col"
          >
            {{ head }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, i) in rows"
          :key="i"
        >
          <template
            v-for="(cell, j) in row"
            :key="j"
          >
            <th
              v-if="j === 0"
              scope="row"
            >
              {{ cell }}
            </th>
            <td v-else>
              {{ cell }}
            </td>
          </template>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide { overflow-x: auto; }
table { border-collapse: collapse; width: 100%; }
th { text-align: left; font-weight: 500; padding: 0.28rem 0.8rem 0.28rem 0; vertical-align: top; }
tbody th { min-width: 7rem; }
.wraps td { white-space: normal; }
.wraps tbody th { width: 34%; }
thead th { font-size: 0.84rem; color: var(--soft-ink); white-space: nowrap; }
td {
  padding: 0.28rem 0.8rem 0.28rem 0; font-family: var(--figures); letter-spacing: -0.035em; word-spacing: -0.28em; vertical-align: top;
  white-space: nowrap;
}
tbody tr { border-top: 1px solid var(--line); }
</style>
